import { z } from 'zod';
import type { ReleasedFacts, ReleasedHole } from '../release/release.ts';
import { Dash } from '../schema/fields.ts';

export const ReplacedRivet = z.strictObject({
  dash: Dash,
  partNumber: z.string().min(1).max(40),
  lengthIn: z.number().positive(),
  /** as measured, or as the next size is drilled */
  holeIn: z.number().positive()
});
/** The rivet that goes into a hole another was taken out of; inches. */
export type ReplacedRivet = z.output<typeof ReplacedRivet>;

/** The rivet that a release has for a hole. */
export const releasedRivet = (
  facts: ReleasedFacts,
  hole: ReleasedHole
): Omit<ReplacedRivet, 'dash'> => {
  const { partNumber, lengthIn, holeIn } = facts.stacks[hole.stack] ?? facts;
  return { partNumber, lengthIn, holeIn };
};
