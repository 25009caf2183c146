import { GUIDANCE_TIMES } from '$core/rules/icebox.ts';
import { FIRST_STYLE, LengthStyle } from '$core/units/format-length.ts';
import { PaperName } from '$lib/joint-files.ts';
import { isAway } from '$lib/server/db/away';
import { ANSWER_MS, within } from '$lib/server/db/within';
import { WITHOUT_DATABASE } from '$lib/server/people/doors';
import { installation } from '$lib/server/people/installation';
import { coldView } from '$lib/server/services/cold-batches';
import { listPeople } from '$lib/server/services/people';
import type { LayoutServerLoad } from './$types';

/** Who is in the shop, and what is out of the cold. */
async function shopNow(locals: App.Locals) {
  const database = locals.database();
  // whoever has not said who they are is told of nobody, and of nothing that is out
  const present = locals.person !== null;
  // the first that is asked for whoever has not said who they are: a database that hangs is said to be away at once
  const { demo } = await within(ANSWER_MS, installation(database));
  const [people, cold] = await Promise.all([
    present || demo ? listPeople(database) : [],
    present ? coldView(database) : NOTHING_OUT()
  ]);
  return { people, cold };
}
const NOTHING_OUT = () => ({
  serverAt: new Date().toISOString(),
  icebox: GUIDANCE_TIMES,
  batches: []
});

export const load: LayoutServerLoad = async ({ cookies, locals, route, untrack }) => {
  const lengths = LengthStyle.safeParse(cookies.get('lengths'));
  const { people, cold } = await shopNow(locals).catch((away: unknown) => {
    const here = untrack(() => route.id) ?? '';
    if (!isAway(away) || !WITHOUT_DATABASE.has(here)) throw away;
    return { people: [], cold: NOTHING_OUT() };
  });
  return {
    people,
    cold,
    person: locals.person,
    lengths: lengths.success ? lengths.data : FIRST_STYLE,
    paper: PaperName.catch('a4').parse(cookies.get('paper')),
    mode: cookies.get('mode') === 'dark' ? ('dark' as const) : ('light' as const)
  };
};
