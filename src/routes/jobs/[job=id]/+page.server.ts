import { error, fail, redirect } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { zod4 } from '$lib/server/zod4';
import { z } from 'zod';
import { LARGEST_FILE_BYTES, readJointFile } from '$core/exchange/joint-file.ts';
import { fileRefusalInWords } from '$lib/words/refusals';
import type { EnteredJoint, JointKind } from '$core/kinds/joint.ts';
import { JOINT_KINDS, newJoint } from '$core/kinds/new-joint.ts';
import { closeJob, getJob, jobNames } from '$lib/server/services/jobs';
import { jobBill } from '$lib/server/services/rivet-bills';
import { onHand } from '$lib/server/services/stock';
import { JointTitle } from '$lib/api/joints.ts';
import { isPractice } from '$core/joint/practice.ts';
import { copyFromPractice } from '$lib/server/services/practice';
import { jobLine } from '$lib/server/services/job-lines';
import { formOf, readForm } from '$lib/server/read-form';
import { addJoint } from '$lib/server/services/joints';
import type { Actions, PageServerLoad } from './$types';

const NewJoint = z.object({
  title: JointTitle,
  kind: z.enum(JOINT_KINDS as [JointKind, ...JointKind[]]).default('lap')
});

export const load: PageServerLoad = async ({ params, locals }) => {
  const job = await getJob(locals.database(), params.job, locals.length);
  if (!job.ok) error(404, 'There is no such job.');
  const others = isPractice(job.value) ? await jobNames(locals.database()) : null;
  return {
    job: jobLine(job.value),
    closedAt: job.value.closedAt,
    /** for practice: the jobs that a plan may be copied to; null where it is a real one */
    practice: others,
    rivets: jobBill(job.value, await onHand(locals.database())),
    form: await superValidate(zod4(NewJoint))
  };
};

async function make(
  locals: App.Locals,
  job: string,
  title: string,
  definition: EnteredJoint
): Promise<never> {
  const added = await addJoint(
    locals.database(),
    job,
    title,
    definition,
    locals.person?.id ?? null
  );
  if (!added.ok) error(404, added.message);
  redirect(303, `/joints/${added.value}/size`);
}

/** Into the archive, or out of it. */
async function close(locals: App.Locals, job: string, closed: boolean) {
  const done = await closeJob(locals.database(), job, closed, locals.person?.id ?? '');
  if (!done.ok) return fail(409, { notClosed: done.message });
  redirect(303, closed ? '/' : `/jobs/${job}`);
}

const Copy = z.object({ joint: z.uuid(), job: z.uuid(), title: JointTitle });

export const actions: Actions = {
  copy: async ({ request, locals }) => {
    const wish = await readForm(request, Copy);
    if (!wish.ok) return fail(400, { notCopied: 'Choose a joint and a job, and enter a name.' });
    const { joint, job, title } = wish.value;
    const person = locals.person?.id ?? null;
    const copied = await copyFromPractice(locals.database(), joint, job, title, person);
    if (!copied.ok) return fail(409, { notCopied: copied.message });
    redirect(303, `/joints/${copied.value}/size`);
  },
  close: async ({ params, locals }) => close(locals, params.job, true),
  reopen: async ({ params, locals }) => close(locals, params.job, false),
  make: async ({ params, request, locals }) => {
    const form = await superValidate(request, zod4(NewJoint));
    if (!form.valid) return fail(400, { form });
    return make(
      locals,
      params.job,
      form.data.title,
      newJoint(form.data.kind, locals.style === 'mm')
    );
  },
  fromFile: async ({ params, request, locals }) => {
    const file = (await formOf(request)).get('file');
    if (!(file instanceof File) || file.size === 0)
      return fail(400, { refused: 'Choose a joint file first.' });
    if (file.size > LARGEST_FILE_BYTES)
      return fail(400, { refused: `${file.name} is over 5 MB: a joint file is a few kB.` });
    const read = readJointFile(await file.text());
    if (!read.ok)
      return fail(400, { refused: `${file.name}: ${fileRefusalInWords(read, locals.length)}.` });
    return make(locals, params.job, read.file.title, read.file.definition);
  }
};
