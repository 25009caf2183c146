import { describe, expect, it } from 'vitest';
import { endsOfRows, holeMapScene, type MapHole } from './hole-map-scene';

/** Rows of holes half an inch apart. */
const rows = (perRow: number, many = 1): MapHole[] =>
  Array.from({ length: perRow * many }, (_, at) => ({
    number: at + 1,
    row: Math.floor(at / perRow) + 1,
    xIn: 0.25 + (at % perRow) * 0.5,
    yIn: 0.3 + Math.floor(at / perRow) * 0.4
  }));
const sceneOf = (holes: MapHole[], roomPx: number, mirrored = false) =>
  holeMapScene(holes, [], { widthIn: 0.5 * holes.length, heightIn: 0.6 }, roomPx, mirrored);

describe('a map of holes', () => {
  it.each([390, 620, 860])('has every mark in sight, %i px wide', (roomPx) => {
    for (const perRow of [1, 12, 40, 200, 900]) {
      const holes = rows(perRow);
      for (const mirrored of [false, true]) {
        const scene = sceneOf(holes, roomPx, mirrored);
        for (const hole of holes) {
          const { x, y } = scene.at(hole);
          expect(x).toBeGreaterThanOrEqual(scene.radius);
          expect(x).toBeLessThanOrEqual(roomPx - scene.radius);
          expect(y).toBeLessThan(scene.highPx);
        }
        for (const { metal } of scene.strips) {
          expect(metal.x).toBeGreaterThanOrEqual(0);
          expect(metal.x + metal.width).toBeLessThanOrEqual(roomPx);
        }
      }
    }
  });

  it('lets a row that does not fit go on in a further strip, in the order of the row', () => {
    // 300 px are free for 25 px a hole: twelve a strip
    const holes = rows(36);
    const scene = sceneOf(holes, 390);
    expect(scene.strips).toHaveLength(3);
    expect(holes.map(({ xIn }) => scene.stripOf(xIn))).toEqual([
      ...Array<number>(12).fill(0),
      ...Array<number>(12).fill(1),
      ...Array<number>(12).fill(2)
    ]);
    const ys = [...new Set(holes.map((hole) => scene.at(hole).y))];
    expect(ys).toEqual([...ys].sort((a, b) => a - b));
    expect(ys).toHaveLength(3);
    // the thirteenth stands under the first
    const [first, next] = [holes[0], holes[12]];
    expect(first && next && Math.abs(scene.at(first).x - scene.at(next).x)).toBeLessThan(1);
    expect(endsOfRows(holes, scene)).toEqual([1, 12, 13, 24, 25, 36]);
    // a row that fits is one
    expect(sceneOf(rows(12), 390).strips).toHaveLength(1);
  });

  it('lays marks closer before it fills pages', () => {
    // 25 px a hole would be 75 strips
    const { strips, radius } = sceneOf(rows(900), 390);
    expect(strips).toHaveLength(30);
    expect(radius).toBe(4);
  });

  it('seen from the driven side has the datum at the right', () => {
    const holes = rows(36);
    const [plain, mirrored] = [sceneOf(holes, 390), sceneOf(holes, 390, true)];
    for (const hole of holes) expect(mirrored.at(hole).x).toBeCloseTo(390 - plain.at(hole).x, 9);
  });
});
