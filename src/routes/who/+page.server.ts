import { fail, redirect } from '@sveltejs/kit';
import { listPeople } from '$lib/server/services/people';
import type { Actions, PageServerLoad } from './$types';

const DAY_S = 24 * 3600;

export const load: PageServerLoad = ({ url }) => ({ back: ownPath(url.searchParams.get('back')) });

/** Only a path of this application: a link must not lead off to another site. */
function ownPath(path: string | null): string {
  return path !== null && /^\/(?![/\\])/.test(path) ? path : '/';
}

export const actions: Actions = {
  default: async ({ request, cookies, locals, url }) => {
    const chosen = (await request.formData()).get('person');
    const person = (await listPeople(locals.database())).find(({ id }) => id === chosen);
    if (!person) return fail(400, { message: 'Choose one of the names.' });
    cookies.set('person', person.id, {
      path: '/',
      maxAge: DAY_S,
      sameSite: 'strict',
      httpOnly: true,
      secure: false
    });
    redirect(303, ownPath(url.searchParams.get('back')));
  }
};
