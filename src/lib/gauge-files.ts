/** Files of the gauge plate, by the name they are asked for. */
export const GAUGE_FILES = ['gauge.pdf', 'gauge.svg', 'gauge.dxf'] as const;
export type GaugeFileName = (typeof GAUGE_FILES)[number];
