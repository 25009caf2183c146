/** One reading: at which setting, and what was read there, in. */
export interface Reading {
  at: number;
  valueIn: number;
}

/** A straight line through readings: where it passes, and its slope in inches a step. */
export interface FittedLine {
  at: number;
  valueIn: number;
  slopeIn: number;
}

/** The least-squares line of some readings, or null with fewer than two different settings. */
export function fittedLine(readings: readonly Reading[]): FittedLine | null {
  const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const atMean = mean(readings.map(({ at }) => at));
  const valueMean = mean(readings.map(({ valueIn }) => valueIn));
  let across = 0;
  let spread = 0;
  for (const { at, valueIn } of readings) {
    across += (at - atMean) * (valueIn - valueMean);
    spread += (at - atMean) ** 2;
  }
  return spread === 0 ? null : { at: atMean, valueIn: valueMean, slopeIn: across / spread };
}
