import { describe, expect, it } from 'vitest';
import { accessScene, insetMovedIn, insetStep, MARGIN_PX } from './access-plan';

describe('accessScene', () => {
  it('draws a joint whole and to one scale where it fits', () => {
    const scene = accessScene({ widthIn: 10, heightIn: 2 }, 552);
    expect(scene).toMatchObject({ pxPerIn: 50, broken: false, shownIn: 10 });
    expect(scene.metal).toEqual({ x: MARGIN_PX, y: MARGIN_PX, width: 500, height: 100 });
    expect([scene.x(0), scene.x(10), scene.y(1)]).toEqual([26, 526, 76]);
  });

  it('leaves out the middle of a long member, both ends at the same scale', () => {
    const scene = accessScene({ widthIn: 157, heightIn: 1 }, 552);
    expect(scene).toMatchObject({ pxPerIn: 48, broken: true });
    // (500 − 28) / 2 / 48 at either end
    expect(scene.shownIn).toBeCloseTo(4.9167, 4);
    expect(scene.x(1)).toBe(26 + 48);
    expect(scene.x(156)).toBeCloseTo(526 - 48, 9);
    expect(scene.x(80)).toBeNull();
  });

  it('keeps a tall patch on the page', () => {
    const scene = accessScene({ widthIn: 5, heightIn: 10 }, 552);
    expect(scene.metal).toMatchObject({ height: 230, width: 115 });
    expect(scene.broken).toBe(false);
  });
});

it('a face moves inwards away from its own side, by drag and by arrow key alike', () => {
  const drag = { dxPx: 40, dyPx: 20 };
  expect(insetMovedIn('left', drag, 40)).toBe(1);
  expect(insetMovedIn('right', drag, 40)).toBe(-1);
  expect(insetMovedIn('top', drag, 40)).toBe(0.5);
  expect(insetMovedIn('bottom', drag, 40)).toBe(-0.5);
  expect(insetStep('top', 'ArrowDown')).toBe(1);
  expect(insetStep('bottom', 'ArrowDown')).toBe(-1);
  expect(insetStep('right', 'ArrowLeft')).toBe(1);
  expect(insetStep('left', 'ArrowUp')).toBeNull();
  expect(insetStep('left', 'Tab')).toBeNull();
});
