import { describe, expect, it } from 'vitest';
import { holdsWorkedCases, resultOf } from '../../../tests/support/cases';
import { calc } from '../calc';
import { SeenFlag } from './findings';
import { drivenHead } from './driven-head';

const head = (diameterD: number, heightD: number, flags: SeenFlag[] = []) =>
  resultOf(
    drivenHead({
      dash: 4,
      diameterIn: diameterD * 0.125,
      heightIn: heightD * 0.125,
      limits: 'standard',
      flags
    })
  );

describe('a driven head', () => {
  holdsWorkedCases('driven-head');

  it('has inclusive windows', () => {
    for (const [d, h] of [
      [1.3, 0.38],
      [1.3, 0.65],
      [1.75, 0.38],
      [1.75, 0.65]
    ] as const)
      expect(head(d, h).verdict).toBe('accept');
  });

  it('tells stopped early from short of metal', () => {
    // least good head: 1.3² × 0.38 = 0.6422 D³
    expect(head(1.2, 0.6)).toMatchObject({ verdict: 'drive-more', findings: ['under-driven'] });
    // 1.05² × 0.55 = 0.606: high enough to drive on, but there is not the metal
    expect(head(1.05, 0.55)).toMatchObject({ verdict: 'replace', findings: ['short-of-metal'] });
    expect(head(1.25, 0.5)).toMatchObject({ verdict: 'replace', findings: ['short-of-metal'] });
  });

  it('lets the gravest finding decide', () => {
    expect(head(1.5, 0.5, ['cracked', 'ring-mark']).verdict).toBe('refer');
    expect(head(1.2, 0.7, ['smile'])).toMatchObject({
      verdict: 'replace',
      findings: ['under-driven', 'smile']
    });
  });

  it('does not know a flag that nobody can see', () => {
    expect(
      calc('driven-head', { dash: 4, diameterIn: 0.18, heightIn: 0.06, flags: ['rusty'] })
    ).toMatchObject({ ok: false, error: { code: 'invalid-input', path: 'flags.0' } });
  });
});
