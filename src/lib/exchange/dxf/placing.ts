/** A plane transformation: x′ = a·x + c·y + e, y′ = b·x + d·y + f. */
export type Placing = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export const AS_DRAWN: Placing = [1, 0, 0, 1, 0, 0];
/** An entity whose extrusion points away from the viewer has its x turned round. */
export const MIRRORED: Placing = [-1, 0, 0, 1, 0, 0];

export const moved = (x: number, y: number): Placing => [1, 0, 0, 1, x, y];
export const scaled = (x: number, y: number): Placing => [x, 0, 0, y, 0, 0];
export const turned = (degrees: number): Placing => {
  const rad = (degrees * Math.PI) / 180;
  return [Math.cos(rad), Math.sin(rad), -Math.sin(rad), Math.cos(rad), 0, 0];
};

/** The second first, then the first. */
export const within = ([a, b, c, d, e, f]: Placing, [p, q, r, s, t, u]: Placing): Placing => [
  a * p + c * q,
  b * p + d * q,
  a * r + c * s,
  b * r + d * s,
  a * t + c * u + e,
  b * t + d * u + f
];

export const put = (
  [a, b, c, d, e, f]: Placing,
  x: number,
  y: number
): { x: number; y: number } => ({
  x: a * x + c * y + e,
  y: b * x + d * y + f
});

/** A block drawn more than this out of proportion makes ovals of its circles. */
const OVAL_SHARE = 1e-4;

/** How much larger everything gets; null where one way gets larger than the other, so that circles become ovals. */
export function growth([a, b, c, d]: Placing): number | null {
  const [across, down] = [Math.hypot(a, b), Math.hypot(c, d)];
  const skewed = Math.abs(a * c + b * d) > OVAL_SHARE * across * down;
  return skewed || Math.abs(across - down) > OVAL_SHARE * Math.max(across, down) ? null : across;
}
