import type { Paper } from '$core/exchange/tiles.ts';
import type { JointFileName } from '$lib/joint-files.ts';
import { respond } from '$lib/server/answers';
import { makeJointFile } from '$lib/server/services/joint-files';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, url, locals }) => {
  const paper: Paper = url.searchParams.get('paper') === 'letter' ? 'letter' : 'a4';
  const made = await makeJointFile(
    locals.database(),
    params.joint,
    params.file as JointFileName,
    paper,
    locals.length
  );
  if (!made.ok) return respond(made, locals.length);
  const { type, body, name } = made.value;
  return new Response(typeof body === 'string' ? body : new Uint8Array(body), {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store'
    }
  });
};
