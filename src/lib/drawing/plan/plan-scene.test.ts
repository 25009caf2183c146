import { describe, expect, it } from 'vitest';
import { fitPlan } from './plan-scene';

describe('fitting a plan into its room', () => {
  it('uses one scale both ways and centres the joint', () => {
    const scene = fitPlan(
      { xIn: 0, yIn: 0, wIn: 10, hIn: 2 },
      { widthPx: 840, heightPx: 400, marginX: 20, marginY: 50 }
    );
    // 800 px for 10 in, 300 px for 2 in: the width governs
    expect(scene.pxPerIn).toBe(80);
    expect(scene.originX).toBe(20);
    expect(scene.originY).toBe((400 - 160) / 2);
  });

  it('is governed by the height when that is the tighter', () => {
    const scene = fitPlan(
      { xIn: 0, yIn: 0, wIn: 2, hIn: 2 },
      { widthPx: 840, heightPx: 300, marginX: 20, marginY: 50 }
    );
    expect(scene.pxPerIn).toBe(100);
  });
});
