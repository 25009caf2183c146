import { z } from 'zod';

export const OldSign = z.enum([
  'smoking',
  'loose',
  'paint-ring',
  'head-pulled',
  'crack',
  'bulge',
  'gap'
]);
/** What one sees on rivets that have been in service. */
export type OldSign = z.output<typeof OldSign>;

export const Around = z.enum([
  'neighbors',
  'structure-behind',
  'oval-holes',
  'cause',
  'row',
  'far-side',
  'cracks',
  'crack-end',
  'extent'
]);
/** What is looked at around a finding before anybody decides. */
export type Around = z.output<typeof Around>;

export const Disposition = z.enum(['replace', 'refer', 'leave']);
/** What becomes of the rivet or the place. */
export type Disposition = z.output<typeof Disposition>;

interface SignRule {
  /** what the trade does with it; anything else rests on the data holder's word */
  usual: readonly Disposition[];
  around: readonly Around[];
}

/**
 * What each sign asks for. Its causes are of service: load, vibration, corrosion, age.
 *
 * @source old-work
 */
export const OLD_SIGNS: Record<OldSign, SignRule> = {
  smoking: {
    usual: ['replace', 'refer'],
    around: ['neighbors', 'structure-behind', 'oval-holes', 'cause']
  },
  loose: {
    usual: ['replace', 'refer'],
    around: ['neighbors', 'structure-behind', 'oval-holes', 'cause']
  },
  'paint-ring': { usual: ['refer'], around: ['row', 'far-side'] },
  'head-pulled': { usual: ['refer'], around: ['cracks', 'neighbors'] },
  crack: { usual: ['refer'], around: ['crack-end', 'cracks'] },
  bulge: { usual: ['refer'], around: ['extent', 'far-side'] },
  gap: { usual: ['refer'], around: ['neighbors'] }
};
