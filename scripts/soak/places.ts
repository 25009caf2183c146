import type { Database } from '../../src/lib/server/db/connect.ts';
import { rowsOf } from '../../src/lib/server/db/transaction.ts';
import { getJoint } from '../../src/lib/server/services/joints.ts';
import { latestRelease } from '../../src/lib/server/services/releases.ts';
import { must } from '../must.ts';
import type { Places, SavedJoint } from './writers.ts';

/** Joints of the demo that the writers write at. */
export async function placesOf(database: Database): Promise<Places> {
  const [found] = await rowsOf<{ signed: string; open: string; other: string }>(
    database,
    `with signed as (select joint_id from joint_issues i join sign_events s on s.subject_id = i.id limit 1),
       open as (select joint_id from joint_issues i
         where not exists (select from sign_events where subject_id = i.id)
           and not exists (select from rework_events where subject_id = i.id)
           and (i.facts->>'partNumber') not like '%DD%'
         order by joint_id limit 1)
     select (select joint_id from signed) as signed, (select joint_id from open) as open,
       (select id from joints where id not in (select joint_id from joint_issues) order by id limit 1) as other`
  );
  const saved = async (id: string | undefined): Promise<SavedJoint> => {
    const { title, revision, definition } = must(await getJoint(database, id ?? ''));
    return { id: id ?? '', title, revision, definition };
  };
  const release = await latestRelease(database, found?.open ?? '');
  if (!release) throw new Error('the demo has no release that is open');
  return { release, changed: await saved(found?.other), signed: await saved(found?.signed) };
}
