/** Points, rings and distances in a plane: geometry of the tests' own, that shares nothing with the planner's. */
export type Point = readonly [x: number, y: number];

/** Pieces that an arc is flattened into: with 64 a quarter of a circle of an inch is off by less than 0.0001. */
const PIECES = 96;

/** An arc as DXF writes it: the tangent of a quarter of the angle it turns by. */
export function flattened(from: Point, to: Point, bulge: number): Point[] {
  if (Math.abs(bulge) < 1e-12) return [from];
  const turn = 4 * Math.atan(bulge);
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const chord = Math.hypot(dx, dy);
  const radius = chord / (2 * Math.sin(turn / 2));
  // left of the chord by so much stands the middle
  const off = radius * Math.cos(turn / 2);
  const middle: Point = [
    (from[0] + to[0]) / 2 - (dy / chord) * off,
    (from[1] + to[1]) / 2 + (dx / chord) * off
  ];
  const [ax, ay] = [from[0] - middle[0], from[1] - middle[1]];
  return Array.from({ length: PIECES }, (_, at): Point => {
    const by = (turn * at) / PIECES;
    return [
      middle[0] + ax * Math.cos(by) - ay * Math.sin(by),
      middle[1] + ax * Math.sin(by) + ay * Math.cos(by)
    ];
  });
}

export const round = ([x, y]: Point, radius: number): Point[] =>
  Array.from({ length: 4 * PIECES }, (_, at): Point => {
    const by = (2 * Math.PI * at) / (4 * PIECES);
    return [x + radius * Math.cos(by), y + radius * Math.sin(by)];
  });

/** Whether a point lies within a closed ring: how often a ray from it crosses the ring. */
export function within([x, y]: Point, ring: readonly Point[]): boolean {
  let inside = false;
  ring.forEach(([ax, ay], at) => {
    const [bx, by] = ring[(at + 1) % ring.length] as Point;
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) inside = !inside;
  });
  return inside;
}

/** How far a point is from a closed ring. */
export function fromRing([x, y]: Point, ring: readonly Point[]): number {
  let nearest = Infinity;
  ring.forEach(([ax, ay], at) => {
    const [bx, by] = ring[(at + 1) % ring.length] as Point;
    const [dx, dy] = [bx - ax, by - ay];
    const length = dx * dx + dy * dy;
    const part =
      length === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / length));
    nearest = Math.min(nearest, Math.hypot(x - ax - part * dx, y - ay - part * dy));
  });
  return nearest;
}
