import { LengthStyle } from '$core/units/format-length.ts';
import { PaperName } from '$lib/joint-files.ts';
import { listPeople } from '$lib/server/services/people';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ cookies, locals }) => {
  const lengths = LengthStyle.safeParse(cookies.get('lengths'));
  return {
    people: await listPeople(locals.database()),
    person: locals.person,
    lengths: lengths.success ? lengths.data : LengthStyle.enum['1/64'],
    paper: PaperName.catch('a4').parse(cookies.get('paper')),
    mode: cookies.get('mode') === 'dark' ? ('dark' as const) : ('light' as const)
  };
};
