import { describe, expect, it } from 'vitest';
import { calc } from '../calc';

const TAKES: [op: string, input: Record<string, unknown>, name: string][] = [
  ['rivet-diameter', { sheetsIn: [0.375, 0.032] }, 'sheetsIn.0'],
  [
    'rivets-required',
    { family: 'clad-2024', thicknessIn: 0.3, dash: 8, widthIn: 6 },
    'thicknessIn'
  ],
  [
    'joint-strength',
    { sheet: '2024-T3 clad', thicknessIn: 0.375, dash: 8, rows: 1, pitchIn: 1, edgeIn: 0.5 },
    'thicknessIn'
  ],
  ['rivet-length', { sheetsIn: [0.032, 0.375], dash: 8, head: 'universal' }, 'sheetsIn.1'],
  ['flush-method', { sheetsIn: [0.375, 0.032], dash: 8 }, 'sheetsIn.0'],
  [
    'oversize',
    { dash: 5, head: 'universal', holeIn: 0.159, edgeIn: 0.5, pitchesIn: [1], sheetsIn: [0.375] },
    'sheetsIn.0'
  ]
];

describe('a thick part that is meant', () => {
  it.each(TAKES)('%s asks of it, and answers when told', (op, input, path) => {
    expect(calc(op, input)).toMatchObject({ ok: false, error: { code: 'invalid-input', path } });
    expect(calc(op, { ...input, thickMeant: false })).toMatchObject({ error: { path } });
    expect(calc(op, { ...input, thickMeant: true })).toMatchObject({ ok: true });
  });

  it('is never over 2 in, and never an excuse for under 0.010', () => {
    const asked = { dash: 8, head: 'universal', thickMeant: true };
    expect(calc('rivet-length', { ...asked, sheetsIn: [2.01, 0.032] })).toMatchObject({
      error: { code: 'invalid-input', path: 'sheetsIn.0', said: { limitIn: 2 } }
    });
    expect(calc('rivet-length', { ...asked, sheetsIn: [0.375, 0.009] })).toMatchObject({
      error: { code: 'invalid-input', path: 'sheetsIn.1' }
    });
    // a skin so thick is not dimpled
    expect(calc('dimple-nest', { skinIn: 0.375, dash: 4, thickMeant: true })).toMatchObject({
      error: { code: 'not-possible', path: 'skinIn' }
    });
  });

  it('is an unknown name where no thickness is taken', () => {
    expect(
      calc('squeezer-gap', { dash: 4, head: 'universal', gripIn: 0.5, thickMeant: true })
    ).toMatchObject({ error: { code: 'invalid-input', path: 'thickMeant' } });
  });
});
