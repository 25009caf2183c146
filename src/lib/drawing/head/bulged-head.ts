/** Shoulders stand in by as much as the middle bulges out, so that the widest place is the head's width. */
const BULGE = 0.07;

/**
 * A driven head as it looks: barrel-shaped, as wide at its middle as the equivalent cylinder.
 *
 * @param axis the rivet's axis, px
 * @param baseY the sheet's face, px
 * @param half half the head's width, px
 * @param high its height, px; negative draws it upwards
 * @returns path commands
 */
export function bulgedHead(axis: number, baseY: number, half: number, high: number): string {
  const shoulder = half * (1 - BULGE);
  const bulge = half * (1 + BULGE);
  const middle = baseY + high / 2;
  const far = baseY + high;
  return [
    `M${axis - shoulder} ${baseY} H${axis + shoulder}`,
    `Q${axis + bulge} ${middle} ${axis + shoulder} ${far}`,
    `H${axis - shoulder}`,
    `Q${axis - bulge} ${middle} ${axis - shoulder} ${baseY} Z`
  ].join(' ');
}
