import type { z } from 'zod';
import { RefusalBody, type Endpoint } from '$lib/api/endpoint.ts';
import { readJson } from '$lib/api/read-json.ts';

/** What came back: the answer, a refusal in words, or nothing because the server could not be asked. */
export type Called<T> =
  | { reached: true; ok: true; value: T }
  | { reached: true; ok: false; status: number; message: string; clockOffMs?: number | undefined }
  | { reached: false };

const UNREADABLE = 'Unexpected server response. Reload the page.';

/** Asks the application's own server; the answer is read by the endpoint's schema, never trusted as it comes. */
export async function call<Params, Request extends z.ZodType, Response extends z.ZodType>(
  { method, path, response, alsoAt }: Endpoint<Params, Request, Response>,
  params: Params,
  body: z.input<Request>,
  keepalive = false,
  headers: Record<string, string> = {}
): Promise<Called<z.output<Response>>> {
  let status: number;
  let answered: unknown;
  try {
    const reply = await fetch(path(params), {
      method,
      ...(method === 'GET'
        ? {}
        : {
            headers: { 'content-type': 'application/json', ...headers },
            body: JSON.stringify(body)
          }),
      keepalive
    });
    status = reply.status;
    answered = readJson(await reply.text());
  } catch {
    return { reached: false };
  }
  if (status === 200 || status === alsoAt) {
    const read = response.safeParse(answered);
    if (read.success) return { reached: true, ok: true, value: read.data };
    if (status === 200) return { reached: true, ok: false, status: 502, message: UNREADABLE };
  }
  const refusal = RefusalBody.safeParse(answered);
  // not this server's words: something on the way answered in its place
  return refusal.success
    ? { reached: true, ok: false, status, ...refusal.data }
    : { reached: false };
}
