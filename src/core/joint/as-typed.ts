import { z } from 'zod';
import { typedNumber } from '../units/typed-number.ts';

/** A field as it stands on the page. */
export const AsTyped = z.string().max(200, 'at most 200 characters are kept here').default('');

type Reading = Readonly<Record<string, z.ZodType>>;
type Typed<R extends Reading> = { [K in keyof R]: typeof AsTyped };

/** The same fields as they are typed: text, empty when an older document does not have them. */
export const typed = <R extends Reading>(reading: R): Typed<R> =>
  Object.fromEntries(Object.keys(reading).map((key) => [key, AsTyped])) as Typed<R>;

/** An empty field stands for "not given": null. */
export const orNull = <S extends z.ZodType>(schema: S) =>
  z.preprocess(
    (text) => (typeof text === 'string' && text.trim() === '' ? null : text),
    schema.nullable()
  );

/** An empty field stands for a usual value. */
export const orUsual = <S extends z.ZodType>(schema: S, usual: z.output<S>) =>
  z.preprocess((text) => (typeof text === 'string' && text.trim() === '' ? usual : text), schema);

interface Bounds {
  least: number;
  most: number;
}

/** A plain number typed in a field. */
export const written = (what: string, { least, most }: Bounds) =>
  z.union([z.number(), z.string()], { error: `${what} is a number` }).transform((text, context) => {
    const value = typeof text === 'number' ? text : typedNumber(text);
    if (Number.isFinite(value) && value >= least && value <= most) return value;
    context.addIssue({
      code: 'custom',
      message: `${what} is a number from ${least} to ${most}; ${JSON.stringify(text)} was given`
    });
    return z.NEVER;
  });

/** A whole number typed in a field. */
export const writtenCount = (what: string, bounds: Bounds) =>
  written(what, bounds).refine(Number.isInteger, `${what} is a whole number`);
