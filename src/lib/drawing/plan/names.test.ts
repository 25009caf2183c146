import { describe, expect, it } from 'vitest';
import { definition } from '../../../../tests/support/joints';
import { markNameAt, markNameSpots, obstacleName, obstacleSpots } from './names';

const [drain] = definition('line', ['0.040', '0.040'], {
  lengthIn: '10',
  flangeIn: '1',
  bendRadiusIn: '1/8',
  keepOuts: [
    { id: 'a', name: 'drain', shape: 'rect', xIn: '5', yIn: '0.5', wIn: '0.4', hIn: '0.2' }
  ]
} as never).keepOuts;
const extent = { xIn: 0, yIn: 0, wIn: 10, hIn: 1 };
const place = { x: (inches: number) => 100 * inches, y: (inches: number) => 100 * inches };
const named = (written: { x: number; y: number }[]) =>
  drain && obstacleName(drain, 0, extent, place, written);

describe('names on a drawing', () => {
  it('of an obstacle stand under it', () => {
    expect(named([])).toEqual({ text: 'drain', x: 500, y: 76 });
  });

  it('give way to what else is written: over it, then beside it', () => {
    expect(named([{ x: 505, y: 74 }])).toMatchObject({ x: 500, y: 34 });
    expect(
      named([
        { x: 505, y: 74 },
        { x: 480, y: 40 }
      ])
    ).toMatchObject({ y: 54 });
  });

  it('of a line that is no edge stand at its end, and numbers keep clear of them', () => {
    const bend = { name: 'bend begins', fromIn: [0, 0.8], toIn: [10, 0.8] } as never;
    expect(markNameAt(bend, place)).toEqual({ x: 992, y: 77, anchor: 'end' });
    const spots = markNameSpots([bend], place);
    expect(Math.max(...spots.map(({ x }) => x))).toBeCloseTo(992, 6);
    expect(obstacleSpots(drain ? [drain] : [], extent, place)).toHaveLength(6);
  });
});
