import { fail, redirect } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { addJob, listJobs, NewJob } from '$lib/server/services/jobs';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
  jobs: await listJobs(locals.database(), locals.length),
  form: await superValidate(zod4(NewJob))
});

export const actions: Actions = {
  default: async ({ request, locals }) => {
    const form = await superValidate(request, zod4(NewJob));
    if (!form.valid) return fail(400, { form });
    const added = await addJob(locals.database(), form.data);
    if (!added.ok) return message(form, added.message, { status: 409 });
    redirect(303, `/jobs/${added.value}`);
  }
};
