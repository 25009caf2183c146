import { error, fail, redirect } from '@sveltejs/kit';
import { message, superValidate } from 'sveltekit-superforms';
import { zod4 } from '$lib/server/zod4';
import { newJoint } from '$core/kinds/new-joint.ts';
import { addJob, closedCount, listJobs, NewJob } from '$lib/server/services/jobs';
import { jobLine } from '$lib/server/services/job-lines';
import { practiceJob } from '$lib/server/services/practice';
import { addJoint } from '$lib/server/services/joints';
import { formOf } from '$lib/server/read-form';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const database = locals.database();
  const archive = url.searchParams.has('archive');
  const person = locals.person?.id ?? null;
  const jobs = await listJobs(database, locals.length, { closed: archive, person });
  return {
    jobs: jobs.map(jobLine),
    archive,
    archived: archive ? jobs.length : await closedCount(database),
    form: await superValidate(zod4(NewJob))
  };
};

const LONGEST_TIME = 40;

export const actions: Actions = {
  practice: async ({ request, locals }) => {
    // by the clock of the shop, as whoever begins it reads it
    const told = (await formOf(request)).get('at');
    const at = typeof told === 'string' && told !== '' ? told : new Date().toISOString();
    const job = await practiceJob(locals.database());
    const added = await addJoint(
      locals.database(),
      job,
      `Practice, ${locals.person?.name ?? ''}, ${at.slice(0, LONGEST_TIME)}`,
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
