import { deviceLinesAt } from '$lib/api/devices.ts';
import { calipers } from '$lib/server/devices/bench-hub';
import { lineStream } from '$lib/server/devices/line-stream';
import { streamOf } from '$lib/server/live/streams';
import { serve } from '$lib/server/serve';
import { done } from '$lib/server/outcome';
import type { RequestHandler } from './$types';

/** What the simulated caliper at a release says (docs/depth-gauge.md). */
export const GET: RequestHandler = ({ params, cookies }) =>
  lineStream(streamOf(cookies), (send, close) => calipers.listen(params.release, send, close));

/** Lines for it; the answers come over the stream. */
export const POST = serve(deviceLinesAt, async ({ params, body }) => {
  for (const line of body.lines) calipers.say(params['release'] ?? '', line);
  return done({ taken: body.lines.length });
});
