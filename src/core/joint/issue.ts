import { z } from 'zod';
import type { PlannedHole } from '../layout/holes.ts';
import { Dash, Head, HeadLimitsKey } from '../schema/fields.ts';

export const IssuedFacts = z.strictObject({
  dash: Dash,
  head: Head,
  partNumber: z.string(),
  gripIn: z.number(),
  lengthIn: z.number(),
  holeIn: z.number(),
  widthIn: z.number(),
  overlapIn: z.number(),
  limits: HeadLimitsKey,
  /** null when the plan could not predict a head */
  predictedIn3: z.number().nullable()
});
/** What driving and checking need of an issue, frozen with it; lengths in inches. */
export type IssuedFacts = z.infer<typeof IssuedFacts>;

/** A frozen layout that driving and checking refer to. */
export interface Issue {
  id: string;
  number: number;
  /** the joint's revision that was frozen */
  revision: number;
  issuedAt: string;
  issuedBy: string;
  facts: IssuedFacts;
  holes: Pick<PlannedHole, 'number' | 'row' | 'xIn' | 'yIn' | 'markIn'>[];
}
