import { z } from 'zod';
import { HeadSeat } from '../release/flush-at.ts';
import { Finding, LookVerdict } from './findings.ts';

export const CannotTell = z.enum([
  'short-of-metal',
  'over-driven',
  'too-wide',
  'too-high',
  'too-narrow',
  'too-low',
  'too-long',
  'not-flush-high',
  'not-flush-low',
  'within-uncertainty'
]);
/** What a look leaves open. */
export type CannotTell = z.infer<typeof CannotTell>;

export const HeadJudged = z.strictObject({
  verdict: LookVerdict,
  findings: z.array(Finding),
  /** null where nothing was measured */
  diameterD: z.number().nullable(),
  heightD: z.number().nullable(),
  /** empty in looks recorded when there were measured heads only */
  cannotTell: z.array(CannotTell).default([]),
  /** what a flush head lies in; null for others, and in looks recorded before it was frozen */
  seat: HeadSeat.nullable().default(null)
});
/** What a look at a driven head comes to, frozen with it. */
export type HeadJudged = z.output<typeof HeadJudged>;
