import { error, fail, redirect } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from '$lib/server/zod4';
import { newJoint } from '$core/kinds/new-joint.ts';
import { addJob, listJobs, NewJob } from '$lib/server/services/jobs';
import { practiceJob } from '$lib/server/services/practice';
import { addJoint } from '$lib/server/services/joints';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({
  jobs: await listJobs(locals.database(), locals.length),
  form: await superValidate(zod4(NewJob))
});

export const actions: Actions = {
  practice: async ({ locals }) => {
    const job = await practiceJob(locals.database());
    const added = await addJoint(
      locals.database(),
      job,
      'Practice joint',
      newJoint('lap', locals.style === 'mm'),
      locals.person?.id ?? null
    );
    if (!added.ok) error(500, added.message);
    redirect(303, `/joints/${added.value}/size`);
  },
  open: async ({ request, locals }) => {
    const form = await superValidate(request, zod4(NewJob));
    if (!form.valid) return fail(400, { form });
    const added = await addJob(locals.database(), form.data);
    if (!added.ok) return message(form, added.message, { status: 409 });
    redirect(303, `/jobs/${added.value}`);
  }
};
