/** One moment of driving: the head as a cylinder of constant volume, in D. */
export interface HeadMoment {
  heightD: number;
  diameterD: number;
}

const MOMENTS = 60;

/**
 * How a shop head widens as it is driven down, from the shank as inserted to the lowest height shown.
 *
 * @param volumeIn3 metal for the head, in³, > 0
 * @param diameterIn the rivet's D
 * @param lowestD where to end, in D, > 0
 * @returns moments from the undriven height (where the cylinder is one D wide) downward
 * @source stack-up: volume is constant
 */
export function headCurve(volumeIn3: number, diameterIn: number, lowestD: number): HeadMoment[] {
  const volumeD3 = volumeIn3 / diameterIn ** 3;
  const startD = (4 * volumeD3) / Math.PI;
  return Array.from({ length: MOMENTS + 1 }, (_, moment) => {
    const heightD = startD + (lowestD - startD) * (moment / MOMENTS);
    return { heightD, diameterD: Math.sqrt((4 * volumeD3) / (Math.PI * heightD)) };
  });
}
