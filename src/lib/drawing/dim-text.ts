/** Measured: a figure of a dimension in the shipped typeface at its size, px. */
const CHARACTER_PX = 7.6;

/** How wide the text of a dimension is drawn, px. */
export const dimTextPx = (text: string): number => text.length * CHARACTER_PX;
