import { error } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import type { ZodValidationSchema } from 'sveltekit-superforms/adapters';
import { zod4 } from './zod4';
import type { z } from 'zod';
import { illFormed } from '../../core/schema/well-formed.ts';

/** No form of ours has so many. */
const MOST_FIELDS = 100;

/** What was posted; a form that was cut off, is none or has more fields than any of ours is answered 400. */
export async function formOf(request: Request): Promise<FormData> {
  let form: FormData;
  try {
    form = await request.formData();
  } catch {
    error(400, 'this form cannot be read');
  }
  const fields = [...form.keys()].length;
  if (fields > MOST_FIELDS)
    error(400, `a form has at most ${MOST_FIELDS} fields; ${fields} were sent`);
  return form;
}

/** Reads a form against a schema, or says the first thing that is wrong with it. */
export async function readForm<S extends ZodValidationSchema & z.ZodType>(
  request: Request,
  schema: S
): Promise<{ ok: true; value: z.output<S> } | { ok: false; message: string }> {
  const { valid, data, errors } = await superValidate(await formOf(request), zod4(schema));
  if (illFormed(data)) return { ok: false, message: 'it holds a character that cannot be stored' };
  if (valid) return { ok: true, value: data as z.output<S> };
  const first = Object.values(errors as Record<string, string[] | undefined>).find(
    (one) => one?.[0]
  );
  return { ok: false, message: first?.[0] ?? 'this form cannot be read' };
}
