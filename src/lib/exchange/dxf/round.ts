/** A corner of a polyline; `bulge` is the tangent of a quarter of the angle that the arc to the next one turns. */
export interface Corner {
  x: number;
  y: number;
  bulge?: number;
}

/** How far a polyline may leave its circle and still be a hole, of the radius. */
const ROUND_SHARE = 0.01;
/** A polygon with fewer corners is meant as one. */
const LEAST_CORNERS = 12;

export interface Circle {
  x: number;
  y: number;
  radius: number;
}

/** The circle that an arc between two corners is part of; null for a straight piece. */
function circleOf(from: Corner, to: Corner): (Circle & { turned: number }) | null {
  const bulge = from.bulge ?? 0;
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const chord = Math.hypot(dx, dy);
  if (bulge === 0 || chord === 0) return null;
  // from the chord's middle to the centre, leftwards
  const toCentre = (1 - bulge ** 2) / (4 * bulge);
  return {
    x: (from.x + to.x) / 2 - dy * toCentre,
    y: (from.y + to.y) / 2 + dx * toCentre,
    radius: (chord * (1 + bulge ** 2)) / (4 * Math.abs(bulge)),
    turned: 4 * Math.atan(bulge)
  };
}

const near = (a: Circle, b: Circle): boolean =>
  Math.hypot(a.x - b.x, a.y - b.y) <= ROUND_SHARE * a.radius &&
  Math.abs(a.radius - b.radius) <= ROUND_SHARE * a.radius;

/** A closed polyline that is a circle: arcs of one circle all the way round, or a polygon of many equal corners. */
export function roundOf(given: readonly Corner[], closed: boolean): Circle | null {
  const [first, last] = [given[0], given.at(-1)];
  if (!first || !last) return null;
  const returns = given.length > 2 && first.x === last.x && first.y === last.y;
  if (!closed && !returns) return null;
  const corners = returns ? given.slice(0, -1) : given;
  if (corners.some(({ bulge }) => bulge !== undefined && bulge !== 0)) {
    const arcs = corners.map((corner, at) =>
      circleOf(corner, corners[(at + 1) % corners.length] ?? corner)
    );
    const [one] = arcs;
    if (!one || corners.length < 2) return null;
    let turned = 0;
    for (const arc of arcs) {
      if (!arc || !near(one, arc)) return null;
      turned += arc.turned;
    }
    return Math.abs(Math.abs(turned) - 2 * Math.PI) < 2 * Math.PI * ROUND_SHARE ? one : null;
  }
  if (corners.length < LEAST_CORNERS) return null;
  const x = corners.reduce((sum, corner) => sum + corner.x, 0) / corners.length;
  const y = corners.reduce((sum, corner) => sum + corner.y, 0) / corners.length;
  const radii = corners.map((corner) => Math.hypot(corner.x - x, corner.y - y));
  const radius = radii.reduce((sum, one) => sum + one, 0) / radii.length;
  return radii.every((one) => Math.abs(one - radius) <= ROUND_SHARE * radius)
    ? { x, y, radius }
    : null;
}
