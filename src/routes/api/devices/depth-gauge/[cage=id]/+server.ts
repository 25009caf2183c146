import { json } from '@sveltejs/kit';
import { z } from 'zod';
import { readBody, sayWhoFirst } from '$lib/server/answers';
import { benches } from '$lib/server/devices/bench-hub';
import { lineStream } from '$lib/server/devices/line-stream';
import type { RequestHandler } from './$types';

const Lines = z.strictObject({ lines: z.array(z.string().max(200)).min(1).max(20) });

/** What the simulated gauge of a cage says (docs/depth-gauge.md). */
export const GET: RequestHandler = ({ params }) =>
  lineStream((send, close) => benches.listen(params.cage, send, close));

/** Lines for it; the answers come over the stream. */
export const POST: RequestHandler = async ({ params, request, locals }) => {
  if (!locals.person) return sayWhoFirst();
  const body = await readBody(request, Lines);
  if (!body.ok) return body.response;
  for (const line of body.value.lines) benches.say(params.cage, line);
  return json({});
};
