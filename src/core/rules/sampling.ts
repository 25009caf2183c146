import { z } from 'zod';

const count = (what: string, least: number, most: number) =>
  z
    .int(`${what} is whole`)
    .min(least, `${what} is at least ${least}`)
    .max(most, `${what} is at most ${most}`);

/** Which heads are looked at when nothing is wrong, and how far round one that is (inspect). */
export const SAMPLING = {
  /** every head, or the first ones and then every so many */
  sampling: z.enum(['all', 'first-then-every']).default('all'),
  sampleFirst: count('how many first', 1, 1000).default(3),
  sampleEvery: count('every which', 2, 1000).default(5),
  /** good heads in a row that end a look outwards from a bad one */
  tighten: count('how many good in a row', 1, 100).default(5)
};
type Sampling = { [Key in keyof typeof SAMPLING]: z.output<(typeof SAMPLING)[Key]> };

export type SamplingPlan =
  { kind: 'all' } | { kind: 'first-then-every'; first: number; every: number };

/** The plan as the calculation takes it. */
export const samplingPlan = ({
  sampling,
  sampleFirst: first,
  sampleEvery: every
}: Sampling): SamplingPlan =>
  sampling === 'all' ? { kind: 'all' } : { kind: sampling, first, every };

/** What a shop counts by, each with what it is for. */
export const SHOP_COUNTS = [
  {
    key: 'sampleFirst',
    label: 'First heads inspected',
    why: 'Of a row, in driving order, when not every head is inspected.'
  },
  { key: 'sampleEvery', label: 'Then every nth', why: 'And the last one.' },
  {
    key: 'tighten',
    label: 'Consecutive good heads next to a reject',
    why: 'Next to a rejected head, neighbors are inspected both ways until this many are good.'
  }
] as const satisfies { key: keyof Sampling; label: string; why: string }[];
