import { redirect } from '@sveltejs/kit';
import { dropSession } from '$lib/server/people/cookies';
import { endSession, SESSION_COOKIE } from '$lib/server/people/sessions';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = () => redirect(303, '/who');

export const actions: Actions = {
  default: async ({ cookies, locals }) => {
    const session = cookies.get(SESSION_COOKIE);
    if (session) await endSession(locals.database(), session);
    dropSession(cookies);
    redirect(303, '/who');
  }
};
