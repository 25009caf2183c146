import { error } from '@sveltejs/kit';
import { superValidate } from 'sveltekit-superforms';
import { zod4, type ZodValidationSchema } from 'sveltekit-superforms/adapters';
import type { z } from 'zod';
import { illFormed } from '../../core/schema/well-formed.ts';

/** What was posted; a form that was cut off or is none is answered 400. */
export async function formOf(request: Request): Promise<FormData> {
  try {
    return await request.formData();
  } catch {
    error(400, 'this form cannot be read');
  }
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
