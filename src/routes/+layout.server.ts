import { GUIDANCE_TIMES } from '$core/rules/icebox.ts';
import { FIRST_STYLE, LengthStyle } from '$core/units/format-length.ts';
import { PaperName } from '$lib/joint-files.ts';
import { isAway } from '$lib/server/db/away';
import { ANSWER_MS, within } from '$lib/server/db/within';
import { WITHOUT_DATABASE } from '$lib/server/people/access-policy';
import { installation } from '$lib/server/people/installation';
import { coldView } from '$lib/server/services/cold-batches';
import type { LayoutServerLoad } from './$types';

const NOTHING_OUT = () => ({
  serverAt: new Date().toISOString(),
  icebox: GUIDANCE_TIMES,
  batches: []
});

/** What is out of the cold; whoever has not said who they are is told of nothing. */
async function outNow(locals: App.Locals) {
  const database = locals.database();
  if (locals.person !== null) return coldView(database);
  // the first that is asked for them: a database that hangs is said to be away at once
  await within(ANSWER_MS, installation(database));
  return NOTHING_OUT();
}

export const load: LayoutServerLoad = async ({ cookies, locals, route, untrack }) => {
  const lengths = LengthStyle.safeParse(cookies.get('lengths'));
  const cold = await outNow(locals).catch((away: unknown) => {
    const here = untrack(() => route.id) ?? '';
    if (!isAway(away) || !WITHOUT_DATABASE.has(here)) throw away;
    return NOTHING_OUT();
  });
  return {
    cold,
    person: locals.person,
    lengths: lengths.success ? lengths.data : FIRST_STYLE,
    paper: PaperName.catch('a4').parse(cookies.get('paper')),
    mode: cookies.get('mode') === 'dark' ? ('dark' as const) : ('light' as const)
  };
};
