import { tone } from '$lib/client/tone';

/** Tones of the rows, Hz: far enough apart to be told by ear, and none twice in a hand of rows. */
const STEPS = [262, 392, 523, 330, 440, 587];

export const toneOf = (row: number): number => STEPS[Math.max(0, row) % STEPS.length] ?? 262;

/** A short tone of the row that a mark lies in: whoever looks at the metal hears when the row changes. */
export const rowTone = (row: number): void => tone(toneOf(row));
