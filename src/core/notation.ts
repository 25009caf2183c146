import type { RefusalSaid } from './refusal-said.ts';

/** A length in a formula or a short answer; whoever reads it sees it in their own unit. */
export interface LengthPart {
  /** inches, or cubic inches where `power` is 3 */
  inches: number;
  power: 1 | 3;
  /** with its unit written after it, where it stands alone */
  alone: boolean;
}

/** Arithmetic as one would write it on paper, its lengths still quantities. */
export type Notation = readonly (string | LengthPart | { refused: RefusalSaid })[];

/** A length among other lengths of a formula, without its unit; in. */
export const len = (lengthIn: number): LengthPart => ({ inches: lengthIn, power: 1, alone: false });

/** A length by itself, with its unit; in. */
export const unitLen = (lengthIn: number): LengthPart => ({
  inches: lengthIn,
  power: 1,
  alone: true
});

/**
 * Writes arithmetic with its lengths left open: by`L − G = ${len(lengthIn)} − ${len(gripIn)}`.
 *
 * @param values numbers without a length's unit and words stand as they are
 */
export const by = (
  texts: TemplateStringsArray,
  ...values: (string | number | LengthPart | Notation)[]
): Notation =>
  texts.flatMap((text, at) => {
    const value = values[at];
    if (value === undefined) return [text];
    if (typeof value === 'number') return [text + String(value)];
    if (typeof value === 'string') return [text + value];
    return 'inches' in value ? [text, value] : [text, ...value];
  });

/** A volume among others of a formula, without its unit; in³. */
export const cubic = (volumeIn3: number): LengthPart => ({
  inches: volumeIn3,
  power: 3,
  alone: false
});

/** Lengths with a sign or a word between them. */
export const lens = (lengthsIn: readonly number[], between: string): Notation =>
  lengthsIn.flatMap((lengthIn, at) => (at === 0 ? [len(lengthIn)] : [between, len(lengthIn)]));
