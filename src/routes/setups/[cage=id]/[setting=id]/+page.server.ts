import { error } from '@sveltejs/kit';
import { getSetting } from '$lib/server/services/cages';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const setting = await getSetting(locals.database(), params.setting);
  if (!setting.ok || setting.value.cageId !== params.cage) error(404, 'There is no such setting.');
  return { setting: setting.value };
};
