import { fail, redirect } from '@sveltejs/kit';
import { CodeForm } from '$lib/api/people.ts';
import { keepSession } from '$lib/server/people/cookies';
import { installation } from '$lib/server/people/installation';
import { endSession, SESSION_COOKIE } from '$lib/server/people/sessions';
import { signInByCode } from '$lib/server/people/sign-in';
import { readForm } from '$lib/server/read-form';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const { demo, empty } = await installation(locals.database());
  return { first: empty && !demo };
};

export const actions: Actions = {
  default: async ({ request, locals, cookies, url }) => {
    const form = await readForm(request, CodeForm);
    if (!form.ok) return fail(400, { message: form.message });
    const came = await signInByCode(locals.database(), form.value, locals.bench);
    if (!came.ok) return fail(400, { message: came.message });
    // whoever was here before goes out
    const before = cookies.get(SESSION_COOKIE);
    if (before) await endSession(locals.database(), before);
    keepSession(cookies, url, came.value);
    redirect(303, '/');
  }
};
