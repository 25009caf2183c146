import { error } from '@sveltejs/kit';
import { getToolSetting } from '$lib/server/services/tool-settings';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const setting = await getToolSetting(locals.database(), params.setting);
  if (!setting.ok) error(404, 'There is no such setting.');
  return { setting: setting.value };
};
