import { error } from '@sveltejs/kit';
import { env } from '$env/dynamic/private';
import type { PageServerLoad } from './$types';

/** What the bench holds other pages against: there while it runs, and at no other time. */
export const load: PageServerLoad = () => {
  if (env['ZANJADOR_BENCH'] !== '1') error(404, 'There is no such page here.');
};
