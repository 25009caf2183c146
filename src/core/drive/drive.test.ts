import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { calc } from '../calc';
import { coldBatch } from './cold-batch';
import { squeezerGap } from './squeezer-gap';

describe('squeezer gap', () => {
  holdsWorkedCases('squeezer-gap');

  it('adds head, grip and shop head', () => {
    const asked = { dash: 6, gripIn: 0.2, shopHeightD: 0.5 } as const;
    expect(resultOf(squeezerGap({ ...asked, head: 'universal' })).gapIn).toBeCloseTo(
      0.08 + 0.2 + 0.09375,
      12
    );
    expect(resultOf(squeezerGap({ ...asked, head: 'countersunk' })).gapIn).toBeCloseTo(0.29375, 12);
  });
});

describe('a cold batch', () => {
  holdsWorkedCases('cold-batch');

  const at = (alloy: 'D' | 'DD' | 'AD', minutes: number, perRivetS = 30) =>
    resultOf(
      coldBatch({
        alloy,
        removedAt: '2026-06-01T08:00:00+02:00',
        now: new Date(Date.parse('2026-06-01T06:00:00Z') + minutes * 60_000).toISOString(),
        perRivetS
      })
    );

  it('counts its window from the door of the refrigerator', () => {
    expect(at('DD', 9.9).state).toBe('ok');
    expect(at('DD', 10)).toMatchObject({ state: 'due', remainingS: 600, canDrive: 20 });
    expect(at('DD', 20)).toMatchObject({ state: 'expired', remainingS: 0, canDrive: 0 });
    expect(at('D', 59.5)).toMatchObject({ state: 'ok', canDrive: 1 });
    expect(at('D', 60).state).toBe('expired');
    expect(at('AD', 600)).toMatchObject({ state: 'no-limit', canDrive: null });
  });

  it.each([
    [{ now: '2026-06-01T05:59:00Z' }, 'now'],
    [{ now: '2026-06-01T08:10:00' }, 'now'],
    [{ perRivetS: 0 }, 'perRivetS'],
    [{ alloy: undefined }, 'alloy']
  ])('asks for better input than %j', (change, path) => {
    const asked = {
      alloy: 'D',
      removedAt: '2026-06-01T06:00:00Z',
      now: '2026-06-01T06:10:00Z',
      perRivetS: 20
    };
    expect(calc('cold-batch', { ...asked, ...change })).toMatchObject({
      ok: false,
      error: { code: 'invalid-input', path }
    });
  });
});
