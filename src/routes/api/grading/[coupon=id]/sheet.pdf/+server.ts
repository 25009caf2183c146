import { error } from '@sveltejs/kit';
import { PaperName } from '$lib/joint-files.ts';
import { couponSheet } from '$lib/server/services/coupons';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, url, locals }) => {
  const paper = PaperName.catch('a4').parse(url.searchParams.get('paper'));
  const sheet = await couponSheet(locals.database(), params.coupon, paper, locals.length);
  if (!sheet.ok) error(sheet.reason === 'not-found' ? 404 : 422, sheet.inWords(locals.length));
  return new Response(new Uint8Array(sheet.value), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': 'attachment; filename="graded-coupon.pdf"',
      'cache-control': 'no-store'
    }
  });
};
