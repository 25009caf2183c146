import { fail, redirect } from '@sveltejs/kit';
import { OfPerson, PinForm, SignInForm } from '$lib/api/people.ts';
import { keepSession } from '$lib/server/people/cookies';
import { installation } from '$lib/server/people/installation';
import { ownPath } from '$lib/server/people/own-path';
import { endSession, SESSION_COOKIE } from '$lib/server/people/sessions';
import { signInByPassword, signInByPin, signInToDemo } from '$lib/server/people/sign-in';
import { readForm } from '$lib/server/read-form';
import { listPeople, withPin } from '$lib/server/services/people';
import type { Actions, PageServerLoad, RequestEvent } from './$types';
import type { Outcome } from '$lib/server/outcome';

export const load: PageServerLoad = async ({ url, locals }) => {
  const database = locals.database();
  const { demo, empty } = await installation(database);
  if (empty && !demo) redirect(303, '/who/code');
  return {
    back: ownPath(url.searchParams.get('back')),
    demo,
    people: demo ? await listPeople(database) : [],
    bench: locals.bench?.name ?? null,
    withPin: locals.bench ? await withPin(database) : []
  };
};

/** One comes in, whoever was here before goes out, and the page one came for is shown. */
async function comeIn(event: RequestEvent, came: Outcome<string>, way: string) {
  if (!came.ok) return fail(400, { way, message: came.message });
  const { cookies, url, locals } = event;
  const before = cookies.get(SESSION_COOKIE);
  if (before) await endSession(locals.database(), before);
  keepSession(cookies, url, came.value);
  redirect(303, ownPath(url.searchParams.get('back')));
}

export const actions: Actions = {
  password: async (event) => {
    const form = await readForm(event.request, SignInForm);
    if (!form.ok) return fail(400, { way: 'password', message: form.message });
    return comeIn(
      event,
      await signInByPassword(event.locals.database(), form.value, event.locals.bench),
      'password'
    );
  },
  pin: async (event) => {
    const { bench } = event.locals;
    if (!bench)
      return fail(400, {
        way: 'pin',
        message: 'This is not a shared device. Sign in with your password.'
      });
    const form = await readForm(event.request, PinForm);
    if (!form.ok) return fail(400, { way: 'pin', message: form.message });
    return comeIn(event, await signInByPin(event.locals.database(), bench, form.value), 'pin');
  },
  demo: async (event) => {
    const form = await readForm(event.request, OfPerson);
    if (!form.ok) return fail(400, { way: 'demo', message: 'Choose one of the names.' });
    return comeIn(
      event,
      await signInToDemo(event.locals.database(), form.value.person, event.locals.bench),
      'demo'
    );
  }
};
