import { FIRST_STYLE, LengthStyle } from '$core/units/format-length.ts';
import { PaperName } from '$lib/joint-files.ts';
import { ANSWER_MS, within } from '$lib/server/db/within';
import { installation } from '$lib/server/people/installation';
import { coldView } from '$lib/server/services/cold-batches';
import { listPeople } from '$lib/server/services/people';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ cookies, locals }) => {
  const lengths = LengthStyle.safeParse(cookies.get('lengths'));
  const database = locals.database();
  // whoever has not said who they are is told of nobody, and of nothing that is out
  const present = locals.person !== null;
  // the first that is asked for whoever has not said who they are: a database that hangs is said to be away at once
  const { demo } = await within(ANSWER_MS, installation(database));
  const [people, cold] = await Promise.all([
    present || demo ? listPeople(database) : [],
    present ? coldView(database) : { serverAt: new Date().toISOString(), batches: [] }
  ]);
  return {
    people,
    cold,
    person: locals.person,
    lengths: lengths.success ? lengths.data : FIRST_STYLE,
    paper: PaperName.catch('a4').parse(cookies.get('paper')),
    mode: cookies.get('mode') === 'dark' ? ('dark' as const) : ('light' as const)
  };
};
