import { LRUCache } from 'lru-cache';
import type { EnteredJoint, Joint } from '../../../core/kinds/joint.ts';
import { readEntered } from '../../../core/kinds/read-entered.ts';
import type { Plan } from '../../../core/plan/plan-shape.ts';
import { planCost } from '../../../core/plan/plan-cost.ts';
import type { RuleProfile } from '../../../core/rules/profile.ts';
import { fieldName } from '../../words/field-names.ts';
import { refusalInWords } from '../../words/refusals.ts';
import { done, FIELD_MISSING, refused, type Outcome } from '../outcome.ts';
import { inThread } from './threads.ts';

/** A stored joint with its plan. */
export interface PlannedJoint {
  definition: Joint;
  plan: Plan;
}

/** As much of a stored joint as its plan rests on. */
interface StoredJoint {
  id: string;
  revision: number;
  profileId: string;
  definition: EnteredJoint;
  profile: RuleProfile;
}

/** Holes of all plans that are kept, about 2 kB each. */
const MOST_HOLES = 60_000;

const kept = new LRUCache<string, PlannedJoint>({
  maxSize: MOST_HOLES,
  sizeCalculation: ({ plan }) => plan.holes.length + 1
});
/** Plans that are being made: who asks meanwhile waits for the same one. */
const making = new Map<string, Promise<Outcome<PlannedJoint>>>();

async function make(
  key: string,
  { definition: entered, profile }: Pick<StoredJoint, 'definition' | 'profile'>
): Promise<Outcome<PlannedJoint>> {
  const read = readEntered(entered);
  if (!read.ok) {
    const { path, said } = read.problems[0] ?? { path: '', ...FIELD_MISSING };
    // which field it is: the same is said of many
    return refused('not-possible', (length) => {
      const words = refusalInWords(said, length);
      return path === '' ? words : `${fieldName(path, entered)}: ${words}`;
    });
  }
  const { definition } = read;
  const plan = await inThread('planned', { definition, profile }, planCost(definition));
  if (!plan.ok) return plan;
  const planned = { definition, plan: plan.value };
  kept.set(key, planned);
  return done(planned);
}

/** The plan of a joint as it is stored: what a revision comes to under a profile never changes, so it is made once. */
export function planOf(joint: StoredJoint): Promise<Outcome<PlannedJoint>> {
  const key = `${joint.id}:${joint.revision}:${joint.profileId}`;
  const known = kept.get(key);
  if (known) return Promise.resolve(done(known));
  const begun = making.get(key);
  if (begun) return begun;
  const made = make(key, joint).finally(() => making.delete(key));
  making.set(key, made);
  // whoever asked for it hears that it failed; where nobody waits any more, that ends no process
  made.catch(() => undefined);
  return made;
}
