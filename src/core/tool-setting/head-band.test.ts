import { describe, expect, it } from 'vitest';
import { notation } from '../../../tests/support/words';
import { gunOf, squeezerOf } from '../../../tests/support/tool-setups';
import { headBand } from './head-band';

const bandOf = (...args: Parameters<typeof squeezerOf>) => {
  const band = headBand(squeezerOf(...args));
  if (!band.ok) throw new Error('no band');
  return band.result;
};

describe('where to stop', () => {
  it('is nominal height where the metal allows it', () => {
    // D 0.15625, hole 0.159, G 0.1715: V = π/4·(0.15625²·0.2035 − (0.159² − 0.15625²)·0.1715) = 0.0037852
    const band = bandOf();
    expect(band.volumeIn3).toBeCloseTo(0.0037852, 6);
    expect(band.freeIn).toBeCloseTo(0.2035, 12);
    expect(band.targetIn).toBeCloseTo(0.078125, 12);
    // 4V/(π·(1.75 D)²) = 0.06446 is over 0.38 D = 0.059375; 4V/(π·(1.3 D)²) = 0.1168 is over 0.65 D = 0.1015625
    expect(band.lowIn).toBeCloseTo(0.06446, 4);
    expect(band.highIn).toBeCloseTo(0.1015625, 9);
  });

  it('is the nearest good height where the rivet is long or short', () => {
    // L −7: V = π/4·(0.15625²·0.266 − …) = 0.0049836; at 1.75 D wide 0.08487 high, over ½ D
    const long = bandOf({ lengthIn: 0.4375 });
    expect(long.lowIn).toBeCloseTo(0.08487, 4);
    // a quarter of 0.08487 to 0.1015625 inside
    expect(long.targetIn).toBeCloseTo(0.08904, 4);
    // hand work: short, so that 1.3 D is reached under ½ D
    const short = bandOf({ gripIn: 0.235 });
    expect(short.highIn).toBeLessThan(0.078125);
    expect(short.targetIn).toBeCloseTo(short.highIn - (short.highIn - short.lowIn) / 4, 12);
    expect(notation(short.work.at(-1)?.formula ?? '')).toBe('0.375 − 0.235');
  });

  it('stands out beyond the dimple where the stack is dimpled through', () => {
    const flat = headBand(gunOf({ head: 'countersunk', dimpled: false }));
    const dimpled = headBand(gunOf({ head: 'countersunk', dimpled: true, lengthIn: 0.4375 }));
    expect(flat.ok && flat.result.freeIn).toBeCloseTo(0.2035, 12);
    // head height of dash 5 is 0.055
    expect(dimpled.ok && dimpled.result.freeIn).toBeCloseTo(0.211, 12);
  });

  it('is refused where no height makes a good head', () => {
    expect(headBand(squeezerOf({ lengthIn: 0.5625 }))).toMatchObject({
      ok: false,
      error: { path: 'lengthIn', said: { code: 'no-good-head', dash: 5, lengthIn: 0.5625 } }
    });
    expect(headBand(squeezerOf({ lengthIn: 0.17 }))).toMatchObject({
      ok: false,
      error: { said: { code: 'no-metal-for-head' } }
    });
  });
});
