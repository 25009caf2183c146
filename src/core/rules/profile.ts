import { z } from 'zod';
import {
  DiameterSchool,
  DrillSchool,
  HeadLimitsKey,
  Increments,
  Lean,
  lengthIn
} from '../schema/fields.ts';
import { FlushnessSchool } from './flushness.ts';
import { GUIDANCE_TIMES, IceboxRule } from './icebox.ts';
import { BesideShopHead, INSPECTION } from './inspection.ts';
import { DEFAULT_MULTIPLIERS, Multipliers } from './multipliers.ts';
import { SAMPLING } from './sampling.ts';

/** Half an ordinary set or die: where a shop has not measured its own. */
export const SET_RADIUS_IN = 1 / 4;

/** Fields that older stored profiles do not have carry a default: what the trade does most often. */
export const RuleProfile = z.strictObject({
  name: z.string().min(1).max(60),
  version: z.int().min(1),
  /** which sheet the 3 t rule means */
  diameter: DiameterSchool,
  /** stretch towards the largest pitch, or keep near the house pitch */
  pitch: z.enum(['fewest', 'near']),
  housePitchIn: lengthIn('the house pitch', { above: 0, most: 12 }),
  drill: DrillSchool,
  increments: Increments,
  lean: Lean,
  headLimits: HeadLimitsKey,
  /** protrusion of dimpled stacks reckoned from the sheets alone, or from the raised dimple */
  dimpled: z.enum(['flat-stack', 'at-dimple']).default('flat-stack'),
  /** dies and cutters: 100° then 110° beneath, or 100° throughout with a deeper cut */
  dimpleAngles: z.enum(['stepped', 'all-100']).default('stepped'),
  /** countersunk once the sheets are apart and deburred, or while they are still clamped */
  countersinkWhen: z.enum(['apart', 'clamped']).default('apart'),
  /** half the width of the widest set or die: bends are kept clear of it */
  setRadiusIn: lengthIn('half the width of the widest set', { least: 0, most: 3 }).default(
    SET_RADIUS_IN
  ),
  flushness: FlushnessSchool.default('two-proud'),
  removal: z.enum(['under-shank', 'hole-drill']).default('under-shank'),
  /** who judges a head: somebody who did not drive it, or anyone */
  checking: z.enum(['another', 'anyone']).default('anyone'),
  /** who may sign a joint: somebody who drove none of its rivets, or anyone */
  signing: z.enum(['another', 'anyone']).default('another'),
  ...SAMPLING,
  ...INSPECTION,
  /** how long icebox rivets may be out */
  icebox: IceboxRule.default(GUIDANCE_TIMES),
  multipliers: Multipliers.default(DEFAULT_MULTIPLIERS)
});
/** The schools of practice and the limits a shop has chosen. A joint is planned under one profile. */
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
  headLimits: 'standard',
  dimpled: 'flat-stack',
  dimpleAngles: 'stepped',
  countersinkWhen: 'apart',
  setRadiusIn: SET_RADIUS_IN,
  flushness: 'two-proud',
  removal: 'under-shank',
  checking: 'anyone',
  signing: 'another',
  sampling: 'all',
  sampleFirst: 3,
  sampleEvery: 5,
  tighten: 5,
  inspect: [...BesideShopHead.options],
  icebox: GUIDANCE_TIMES,
  multipliers: DEFAULT_MULTIPLIERS
};
