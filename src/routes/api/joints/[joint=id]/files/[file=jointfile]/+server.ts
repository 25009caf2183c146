import { error } from '@sveltejs/kit';
import { FileWish, type JointFileName } from '$lib/joint-files.ts';
import { respondFile } from '$lib/server/answers';
import { makeJointFile } from '$lib/server/services/joint-files';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, url, locals, request }) => {
  const wish = FileWish.safeParse(Object.fromEntries(url.searchParams));
  if (!wish.success) error(400, wish.error.issues[0]?.message ?? 'the file cannot be made so');
  const made = await makeJointFile(
    locals.database(),
    params.joint,
    params.file as JointFileName,
    wish.data,
    locals.style
  );
  if (!made.ok) return respondFile(made, request, locals.length);
  const { type, body, name } = made.value;
  return new Response(typeof body === 'string' ? body : new Uint8Array(body), {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store'
    }
  });
};
