import { describe, expect, it } from 'vitest';
import { resultOf } from '../../../tests/support/cases';
import { gripAt, zones, ZonesInput, type ZoneLayer } from './zones';

const layer = (
  name: string,
  fromIn: number,
  toIn: number,
  thin: number,
  thick = thin
): ZoneLayer => ({
  name,
  fromIn,
  toIn,
  thicknessAtFromIn: thin,
  thicknessAtToIn: thick
});
const SKIN = layer('skin', 0, 20, 0.04);
const RIB = layer('rib', 0, 20, 0.05);

const laid = (layers: ZoneLayer[], holesIn: number[]) =>
  resultOf(zones(ZonesInput.parse({ layers, holesIn, dash: 4, head: 'universal' })));

describe('a stack that changes along the row', () => {
  it('gains a layer half way', () => {
    const { holes, runs, changes } = laid(
      [SKIN, RIB, layer('doubler', 9.5, 20, 0.063)],
      [8, 9, 10, 11]
    );
    expect(holes.map(({ gripIn }) => Math.round(gripIn * 1000))).toEqual([90, 90, 153, 153]);
    // 0.090 + 0.1875 = 0.2775 = 8.88/32 → -4.5; 0.153 + 0.1875 = 0.3405 = 10.9/32 → -5.5
    expect(runs.map(({ first, last, partNumber }) => [first, last, partNumber])).toEqual([
      [0, 1, 'MS20470AD4-4.5'],
      [2, 3, 'MS20470AD4-5.5']
    ]);
    expect(changes).toEqual([
      { afterIn: 9, beforeIn: 10, from: 'MS20470AD4-4.5', to: 'MS20470AD4-5.5' }
    ]);
    expect(runs[0]?.shimLastIn).toBeCloseTo(0, 12);
    expect(runs[1]?.shimFirstIn).toBeCloseTo(0.063, 12);
  });

  it('still goes through a layer at its very end', () => {
    const layers = [SKIN, layer('strap', 4, 6, 0.05)];
    expect([3.999, 4, 6, 6.001].map((xIn) => gripAt(layers, xIn).toFixed(3))).toEqual([
      '0.040',
      '0.090',
      '0.090',
      '0.040'
    ]);
  });

  it('follows a taper, linear between its ends', () => {
    const layers = [SKIN, layer('spar', 0, 20, 0.1, 0.2)];
    expect(gripAt(layers, 10)).toBeCloseTo(0.19, 12);
    const { runs } = laid(
      layers,
      Array.from({ length: 21 }, (_, index) => index)
    );
    // grip 0.14 to 0.24: ideal 0.3275 to 0.4275, nearest 32nds 10 to 14 = -5 to -7
    expect(runs.map(({ partNumber }) => partNumber)).toEqual([
      'MS20470AD4-5',
      'MS20470AD4-5.5',
      'MS20470AD4-6',
      'MS20470AD4-6.5',
      'MS20470AD4-7'
    ]);
    expect(runs.reduce((sum, run) => sum + run.count, 0)).toBe(21);
    expect(runs.at(-1)?.shimLastIn).toBeCloseTo(0.1, 12);
  });

  it('says where no layer lies and where no rivet is long enough', () => {
    const { holes } = laid([layer('strap', 4, 6, 0.05)], [1, 5]);
    expect(holes[0]).toMatchObject({ partNumber: null, refusal: 'no layer lies at 1 in' });
    const thick = laid(
      Array.from({ length: 9 }, (_, index) => layer(`block ${index}`, 0, 2, 0.25)),
      [1]
    );
    expect(thick.runs[0]).toMatchObject({ partNumber: null, count: 1 });
    expect(thick.holes[0]?.refusal).toMatch(/rivets come from -2 to -32/);
  });

  it('sorts the holes and refuses a layer that runs backwards', () => {
    expect(laid([SKIN], [3, 1, 2]).holes.map(({ xIn }) => xIn)).toEqual([1, 2, 3]);
    const bad = ZonesInput.safeParse({
      layers: [layer('x', 2, 1, 0.04)],
      holesIn: [1],
      dash: 4,
      head: 'universal'
    });
    expect(bad.success).toBe(false);
  });
});
