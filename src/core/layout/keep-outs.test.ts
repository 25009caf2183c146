import { describe, expect, it } from 'vitest';
import { closedStretch, depthInKeepOut, widen, type KeepOut } from './keep-outs';
import { pointAt, straight } from './lines';

const bracket: KeepOut = { name: 'bracket', shape: 'rect', xIn: 4, yIn: 1, wIn: 1, hIn: 0.5 };
const drain: KeepOut = { name: 'drain', shape: 'round', xIn: 4, yIn: 1, wIn: 0.6, hIn: null };

describe('an obstacle widened by head and tools', () => {
  it('closes a line that crosses it', () => {
    // half of 1, and 0.2 on each side
    expect(closedStretch(straightAt(1.2), widen(bracket, 0.2))).toEqual({
      fromIn: expect.closeTo(3.3, 12) as number,
      toIn: expect.closeTo(4.7, 12) as number
    });
  });

  it('leaves a line alone that passes it', () => {
    // half of 0.5 and 0.2 reach to 1.45
    expect(closedStretch(straightAt(1.45), widen(bracket, 0.2))).toBeNull();
    expect(closedStretch(straightAt(1.5), widen(drain, 0.2))).toBeNull();
  });

  it('closes less of a line that cuts a round one off its middle', () => {
    // radius 0.3 + 0.2; 0.3 off: 3-4-5, half chord 0.4
    expect(closedStretch(straightAt(1.3), widen(drain, 0.2))).toEqual({
      fromIn: expect.closeTo(3.6, 12) as number,
      toIn: expect.closeTo(4.4, 12) as number
    });
  });

  it('reaches right across when it has no height', () => {
    const across = widen({ ...bracket, hIn: null }, 0);
    expect(closedStretch(straightAt(40), across)).toEqual({ fromIn: 3.5, toIn: 4.5 });
  });

  it('closes a slanted line where both sides are entered', () => {
    // along 3-4-5 from (1, -1): x = 1 + 0.8 s, y = −1 + 0.6 s; x in [3.5, 4.5], y in [0.75, 1.25]
    const slanted = straight(1, -1, 10, [0.8, 0.6]);
    expect(slanted.path === 'straight' && closedStretch(slanted, widen(bracket, 0))).toEqual({
      fromIn: expect.closeTo(3.125, 12) as number,
      toIn: expect.closeTo(3.75, 12) as number
    });
  });

  it('closes what its depth says, whichever way the line runs', () => {
    const directions = [
      [1, 0],
      [0, 1],
      [0.6, 0.8],
      [-0.6, 0.8],
      [0.8, -0.6],
      [-0.8, -0.6],
      [-1, 0]
    ] as const;
    for (const obstacle of [bracket, drain, { ...bracket, hIn: 2 }])
      for (const [dirX, dirY] of directions)
        for (const offIn of [-0.41, 0, 0.1, 0.55]) {
          const clear = widen(obstacle, 0.15);
          // the line passes the middle of the obstacle at 3 in, so far off it
          const path = straight(4 - 3 * dirX - offIn * dirY, 1 - 3 * dirY + offIn * dirX, 8, [
            dirX,
            dirY
          ]);
          if (path.path !== 'straight') throw new Error('a straight line');
          const closed = closedStretch(path, clear);
          const said = `${obstacle.shape} ${dirX} ${dirY} ${offIn}`;
          for (let at = 0; at <= 8; at += 0.0371) {
            const { xIn, yIn } = pointAt(path, at);
            const inIt = depthInKeepOut(clear, xIn, yIn) > 0;
            expect(closed !== null && at > closed.fromIn && at < closed.toIn, said).toBe(inIt);
          }
        }
  });

  it('leaves a line alone that only touches it', () => {
    // the bracket's half height 0.25, the drain's radius 0.3
    expect(closedStretch(straightAt(1.25), widen(bracket, 0))).toBeNull();
    expect(closedStretch(straightAt(0.75), widen(bracket, 0))).toBeNull();
    expect(closedStretch(straightAt(1.3), widen(drain, 0))).toBeNull();
    expect(closedStretch(straightAt(1.24), widen(bracket, 0))).not.toBeNull();
    // a round one is as high as it is wide, whatever height was typed
    expect(closedStretch(straightAt(1.45), widen({ ...drain, hIn: 3 }, 0))).toBeNull();
    expect(widen({ ...drain, hIn: 3 }, 0.1)).toMatchObject({ halfWIn: 0.4, halfHIn: 0.4 });
  });

  it('says how deep a hole lies in it', () => {
    expect(depthInKeepOut(widen(bracket, 0.2), 4.6, 1)).toBeCloseTo(0.1, 12);
    expect(depthInKeepOut(widen(bracket, 0.2), 4, 1.4)).toBeCloseTo(0.05, 12);
    expect(depthInKeepOut(widen(bracket, 0.2), 4, 0.5)).toBeCloseTo(-0.05, 12);
    expect(depthInKeepOut(widen(drain, 0.2), 4.3, 1.4)).toBeCloseTo(0, 12);
    expect(depthInKeepOut(widen(drain, 0.2), 5, 1)).toBeCloseTo(-0.5, 12);
  });
});

function straightAt(yIn: number) {
  const path = straight(0, yIn, 10);
  if (path.path !== 'straight') throw new Error('a straight line');
  return path;
}
