import { describe, expect, it } from 'vitest';
import { holeRooms } from './hole-room';
import { rect, type Part } from './shapes';

const plate: Part = {
  key: 'plate',
  name: 'plate',
  layer: 'over',
  outline: rect(0, 0, 6, 6),
  openings: [],
  goesOn: [],
  addedThicknessIn: null
};
let seed = 5;
const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;

describe('the room of every hole', () => {
  const spots = Array.from({ length: 90 }, (_, index) => ({
    number: index + 1,
    xIn: 6 * random(),
    yIn: 6 * random()
  }));
  // three lines of thirty; the first of each is in the line before too, as a corner is
  const lines = [0, 1, 2].map((line) => ({
    holes: [
      ...(line > 0 ? [30 * line] : []),
      ...Array.from({ length: 30 }, (_, index) => 30 * line + index + 1)
    ],
    closed: line === 2
  }));
  const rooms = () =>
    holeRooms(
      spots,
      lines,
      spots.map(() => [plate])
    );
  const linesOf = (number: number) =>
    lines.flatMap(({ holes }, line) => (holes.includes(number) ? [line] : []));
  const apart = (a: number, b: number) =>
    Math.hypot(
      (spots[a - 1]?.xIn ?? 0) - (spots[b - 1]?.xIn ?? 0),
      (spots[a - 1]?.yIn ?? 0) - (spots[b - 1]?.yIn ?? 0)
    );

  it('is what trying every pair gives, between lines', () => {
    for (const { hole, betweenRowsIn } of rooms()) {
      const others = spots
        .map(({ number }) => number)
        .filter((number) => number !== hole)
        .filter((number) => !linesOf(number).some((line) => linesOf(hole).includes(line)));
      const least = Math.min(...others.map((number) => apart(hole, number)));
      if (least <= 1) expect(betweenRowsIn, `hole ${hole}`).toBeCloseTo(least, 12);
      else expect(betweenRowsIn).toBe(Infinity);
    }
  });

  it('is the nearest neighbour along its lines, a ring’s last beside its first', () => {
    for (const { hole, pitchIn } of rooms()) {
      const beside = lines.flatMap(({ holes, closed }) => {
        const at = holes.indexOf(hole);
        if (at === -1) return [];
        const before = at > 0 ? holes[at - 1] : closed ? holes.at(-1) : undefined;
        const after = at < holes.length - 1 ? holes[at + 1] : closed ? holes[0] : undefined;
        return [before, after].filter((number) => number !== undefined);
      });
      const least = Math.min(...beside.map((number) => apart(hole, number)));
      expect(pitchIn, `hole ${hole}`).toBeCloseTo(least, 12);
    }
  });

  it('is the distance to the plate’s nearest edge', () => {
    rooms().forEach(({ edgeIn }, index) => {
      const { xIn, yIn } = spots[index] ?? { xIn: 0, yIn: 0 };
      expect(edgeIn).toBeCloseTo(Math.min(xIn, yIn, 6 - xIn, 6 - yIn), 12);
    });
  });

  it('has no neighbors between rows where there is one line, nor along one of a single hole', () => {
    const one = [{ number: 7, xIn: 1, yIn: 1 }];
    expect(
      holeRooms(
        one,
        [{ holes: [7], closed: true }],
        one.map(() => [plate])
      )
    ).toEqual([{ hole: 7, edgeIn: 1, pitchIn: Infinity, betweenRowsIn: Infinity }]);
    // two on a ring stand apart once, not twice round
    const two = [...one, { number: 9, xIn: 1.5, yIn: 1 }];
    expect(
      holeRooms(
        two,
        [{ holes: [7, 9], closed: true }],
        two.map(() => [plate])
      ).map(({ pitchIn }) => pitchIn)
    ).toEqual([0.5, 0.5]);
    // what is in a line and not among the spots is passed over
    expect(
      holeRooms(
        two,
        [{ holes: [7, 8, 9], closed: false }],
        two.map(() => [plate])
      ).map(({ pitchIn }) => pitchIn)
    ).toEqual([0.5, 0.5]);
  });

  it('leaves out what shares either of a corner’s two lines', () => {
    const corner = [
      { number: 1, xIn: 1, yIn: 1 },
      { number: 2, xIn: 1.5, yIn: 1 },
      { number: 3, xIn: 1.5, yIn: 1.3 },
      { number: 4, xIn: 2, yIn: 1 }
    ];
    const of = (...lines: number[][]) =>
      holeRooms(
        corner,
        lines.map((holes) => ({ holes, closed: false })),
        corner.map(() => [plate])
      ).map(({ betweenRowsIn }) => Number(betweenRowsIn.toFixed(6)));
    // hole 2 is on both: its own are 1 and 3, the nearest other is 4
    expect(of([1, 2], [2, 3], [4])).toEqual([
      Number(Math.hypot(0.5, 0.3).toFixed(6)),
      0.5,
      Number(Math.hypot(0.5, 0.3).toFixed(6)),
      0.5
    ]);
    expect(of([2, 3], [1, 2], [4])).toEqual(of([1, 2], [2, 3], [4]));
    // round a triangle each shares a line with each
    corner.pop();
    expect(of([1, 2], [2, 3], [3, 1])).toEqual([Infinity, Infinity, Infinity]);
  });

  it('goes by the nearest of other lines on every side of zero, and by none beyond an inch', () => {
    const grid = [-1, 0, 1].flatMap((x) => [-1, 0, 1].map((y) => [0.9 * x, 0.9 * y] as const));
    const spread = grid.map(([xIn, yIn], at) => ({ number: at + 1, xIn, yIn }));
    const each = spread.map(({ number }) => ({ holes: [number], closed: false }));
    for (const { betweenRowsIn } of holeRooms(
      spread,
      each,
      spread.map(() => [plate])
    ))
      expect(betweenRowsIn).toBeCloseTo(0.9, 12);
    const far = [
      { number: 1, xIn: 0, yIn: 0 },
      { number: 2, xIn: 1, yIn: 0 }
    ];
    const apart = [
      { holes: [1], closed: false },
      { holes: [2], closed: false }
    ];
    expect(
      holeRooms(
        far,
        apart,
        far.map(() => [plate])
      ).map(({ betweenRowsIn }) => betweenRowsIn)
    ).toEqual([Infinity, Infinity]);
  });
});
