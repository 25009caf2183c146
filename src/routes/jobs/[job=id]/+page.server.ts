import { error, fail, redirect } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { zod4 } from 'sveltekit-superforms/adapters';
import { z } from 'zod';
import { getJob } from '$lib/server/services/jobs';
import { addJoint, JointTitle } from '$lib/server/services/joints';
import type { Actions, PageServerLoad } from './$types';

const NewJoint = z.object({ title: JointTitle });

export const load: PageServerLoad = async ({ params, locals }) => {
  const job = await getJob(locals.database(), params.job);
  if (!job.ok) error(404, 'There is no such job.');
  return { job: job.value, form: await superValidate(zod4(NewJoint)) };
};

export const actions: Actions = {
  default: async ({ params, request, locals }) => {
    const form = await superValidate(request, zod4(NewJoint));
    if (!form.valid) return fail(400, { form });
    const added = await addJoint(
      locals.database(),
      params.job,
      form.data.title,
      undefined,
      locals.person?.id ?? null
    );
    if (!added.ok) error(404, added.message);
    redirect(303, `/joints/${added.value}/carry`);
  }
};
