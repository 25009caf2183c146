import { z } from 'zod';
import {
  DiameterSchool,
  DrillSchool,
  HeadLimitsKey,
  Increments,
  Lean,
  lengthIn
} from '../schema/fields.ts';

export const RuleProfile = z.strictObject({
  name: z.string().min(1).max(60),
  version: z.int().min(1),
  /** which sheet the 3 t rule means */
  diameter: DiameterSchool,
  /** stretch towards 12 D, or keep near the house pitch */
  pitch: z.enum(['fewest', 'near']),
  housePitchIn: lengthIn('the house pitch', { above: 0, most: 12 }),
  drill: DrillSchool,
  increments: Increments,
  lean: Lean,
  headLimits: HeadLimitsKey
});
/** The schools of practice a shop has chosen. A joint is planned under one profile. */
export type RuleProfile = z.output<typeof RuleProfile>;

/** What the trade does most often; every field is one of its schools. */
export const DEFAULT_PROFILE: RuleProfile = {
  name: 'Shop profile',
  version: 1,
  diameter: 'thickest',
  pitch: 'fewest',
  housePitchIn: 1,
  drill: 'close',
  increments: 'half',
  lean: 'nearest',
  headLimits: 'standard'
};
