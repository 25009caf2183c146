import { boundRules, type BoundRule, type SetBy } from '../../../core/rules/bound-rules.ts';
import { may, type Role } from '../../../core/people/rights.ts';
import type { RuleProfile } from '../../../core/rules/profile.ts';
import type { Database } from '../db/connect.ts';
import { rowsOf } from '../db/transaction.ts';
import type { JointView } from './joints.ts';
import { currentProfile } from './profiles.ts';

/** What the rules of a joint are held against before it is released. */
export interface ShopRules {
  /** the shop’s own as they stand now */
  rules: RuleProfile;
  setBy: SetBy;
}

/** The shop’s rules beside a joint’s, and who set the joint’s: whoever saved the revision since which they stand. */
export async function shopRules(
  database: Database,
  { id, profile }: Pick<JointView, 'id' | 'profile'>
): Promise<ShopRules> {
  const [row] = await rowsOf<{ rules: string | null; own: string | null }>(
    database,
    `with revised as (
       select r.revision, r.profile_id, r.definition->>'ownHeads' as own, coalesce(p.name, '') as by
       from joint_revisions r left join people p on p.id = r.saved_by where r.joint_id = $1
     ), now as (select * from revised order by revision desc limit 1)
     select
       (select by from revised where revision > coalesce((select max(revised.revision) from revised, now where revised.profile_id <> now.profile_id), 0) order by revision limit 1) as rules,
       (select by from revised where revision > coalesce((select max(revised.revision) from revised, now where revised.own is distinct from now.own), 0) order by revision limit 1) as own`,
    [id]
  );
  return {
    rules: (await currentProfile(database))?.rules ?? profile,
    setBy: { rules: row?.rules ?? '', ownHeads: row?.own ?? '' }
  };
}

/** The binding rules of a joint that are not the shop’s. */
export const boundOf = async (
  database: Database,
  joint: JointView,
  own: string | null
): Promise<BoundRule[]> => {
  const { rules, setBy } = await shopRules(database, joint);
  return boundRules(rules, joint.profile, own, setBy);
};

/** Whether somebody may let a joint go under looser rules than the shop’s. */
export async function mayLoosen(database: Database, person: string): Promise<boolean> {
  const [row] = await rowsOf<{ role: Role }>(database, 'select role from people where id = $1', [
    person
  ]);
  return row !== undefined && may(row.role, 'rules');
}
