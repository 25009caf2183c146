/** What a plan's threads do: each task takes and gives plain data, and is the same function when it is called here. */
import { summaryOf, type PlanSummary } from '../../../core/release/summary.ts';
import type { EnteredJoint, Joint } from '../../../core/kinds/joint.ts';
import type { Plan } from '../../../core/plan/plan-shape.ts';
import { plan } from '../../../core/plan/plan.ts';
import type { RuleProfile } from '../../../core/rules/profile.ts';
import { marksBody, type TableWish } from '../files/marks-body.ts';
import { patternBody, type PatternBody, type PatternWish } from '../files/pattern-body.ts';

export const planned = ({
  definition,
  profile
}: {
  definition: Joint;
  profile: RuleProfile;
}): Plan => plan(definition, profile);

export const summarized = ({
  definition,
  profile
}: {
  definition: EnteredJoint;
  profile: RuleProfile;
}): PlanSummary => summaryOf(definition, profile);

export const tabulated = (wish: TableWish): string => marksBody(wish);

export const patterned = (wish: PatternWish): Promise<PatternBody> => patternBody(wish);
