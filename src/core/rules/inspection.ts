import { z } from 'zod';

export const BesideShopHead = z.enum(['manufactured', 'sheet', 'flush']);
/** What is looked at beside the shop head before an inspection is complete; `flush` of flush heads only. */
export type BesideShopHead = z.output<typeof BesideShopHead>;

export const InspectionPlace = z.enum(['shop', ...BesideShopHead.options]);
/** Where a driven rivet is looked at: the shop head by its size, always; the others by the shop's rule. */
export type InspectionPlace = z.output<typeof InspectionPlace>;

const places = z.array(BesideShopHead).max(BesideShopHead.options.length);
/** What makes an inspection complete (inspect: three places). */
export const INSPECTION = { inspect: places.default([...BesideShopHead.options]) };
/** The same in a release: one made before the rules said so promised the shop head alone, and keeps to that. */
export const INSPECTION_RELEASED = { inspect: places.default([]) };

/** Each place a shop may ask for, as its page of rules shows them. */
export const INSPECTION_PLACES = [
  {
    value: 'manufactured',
    label: 'Manufactured head',
    why: 'Gaps, cuts and marks, from its side.'
  },
  { value: 'sheet', label: 'Sheets', why: 'Gaps, dents, rings and bulges around it.' },
  { value: 'flush', label: 'Flushness', why: 'Of flush heads: over or under the skin.' }
] as const satisfies { value: BesideShopHead; label: string; why: string }[];
