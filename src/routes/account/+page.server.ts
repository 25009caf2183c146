import { SIGN_IN } from '$lib/words/pages/sign-in.ts';
import { fail, redirect } from '@sveltejs/kit';
import { NewPassword, OwnPin } from '$lib/api/people.ts';
import { dropSession } from '$lib/server/people/cookies';
import { changePassword, setPin } from '$lib/server/people/manage';
import { logPeople } from '$lib/server/people/people-log';
import { endSessionsOf, SESSION_COOKIE } from '$lib/server/people/sessions';
import { readForm } from '$lib/server/read-form';
import { plural } from '$lib/words/writing';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** The door lets nobody through who has not said who they are. */
const personOf = ({ locals }: Pick<RequestEvent, 'locals'>) =>
  locals.person ?? redirect(303, '/who');

export const load: PageServerLoad = (event) => ({ me: personOf(event) });

export const actions: Actions = {
  password: async (event) => {
    const person = personOf(event);
    const form = await readForm(event.request, NewPassword);
    if (!form.ok) return fail(400, { way: 'password', message: form.message, said: '' });
    const session = event.cookies.get(SESSION_COOKIE) ?? '';
    const changed = await changePassword(event.locals.database(), person, form.value, session);
    return changed.ok
      ? {
          way: 'password',
          message: '',
          said: `The password is changed; ${plural(changed.value, 'other session')} ended.`
        }
      : fail(400, { way: 'password', message: changed.message, said: '' });
  },
  pin: async (event) => {
    const person = personOf(event);
    const form = await readForm(event.request, OwnPin);
    if (!form.ok) return fail(400, { way: 'pin', message: form.message, said: '' });
    const { password, pin } = form.value;
    const set = await setPin(event.locals.database(), person, password, pin === '' ? null : pin);
    return set.ok
      ? {
          way: 'pin',
          message: '',
          said: pin === '' ? SIGN_IN.noPinMore : SIGN_IN.pinKept
        }
      : fail(400, { way: 'pin', message: set.message, said: '' });
  },
  everywhere: async (event) => {
    const person = personOf(event);
    const database = event.locals.database();
    const ended = await endSessionsOf(database, person.id);
    await logPeople(database, 'everywhere-out', {
      by: person.id,
      person: person.id,
      detail: { ended }
    });
    dropSession(event.cookies);
    redirect(303, '/who');
  }
};
