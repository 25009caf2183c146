import { error } from '@sveltejs/kit';
import { dxfR12 } from '$core/exchange/dxf-r12.ts';
import { svgPattern } from '$core/exchange/svg.ts';
import { tile } from '$core/exchange/tiles.ts';
import { gaugePlate } from '$core/exchange/gauge-plate.ts';
import { GaugeWish } from '$core/exchange/gauge-wish.ts';
import { PaperName } from '$lib/joint-files.ts';
import { pdfPattern } from '$lib/server/files/pdf-pattern';
import { refusalInWords } from '$lib/words/refusals';
import type { RequestHandler } from './$types';

const TITLE = 'Gauge plate for driven heads';

export const GET: RequestHandler = async ({ params, url, locals }) => {
  const wish = GaugeWish.safeParse({
    sizes: url.searchParams.get('sizes') ?? '3,4,5,6',
    limits: url.searchParams.get('limits') ?? 'standard'
  });
  if (!wish.success) error(400, wish.error.issues[0]?.message ?? 'no such gauge plate');
  const paper = PaperName.default('a4').safeParse(url.searchParams.get('paper') ?? undefined);
  if (!paper.success) error(400, paper.error.issues[0]?.message ?? 'no such paper');
  const { sizes, limits } = wish.data;
  const { pattern } = gaugePlate(sizes, limits);
  const words = `${TITLE}, ${limits} limits`;
  const file = (type: string, body: string | Uint8Array<ArrayBuffer>) =>
    new Response(body, {
      headers: {
        'content-type': type,
        'content-disposition': `attachment; filename="${params.file}"`,
        'cache-control': 'no-store'
      }
    });
  if (params.file === 'gauge.svg') return file('image/svg+xml', svgPattern(pattern, words));
  if (params.file === 'gauge.dxf') return file('image/vnd.dxf', dxfR12(pattern, words));
  const tiling = tile(pattern, paper.data);
  if (!tiling.ok) error(422, refusalInWords(tiling.error.said, locals.length));
  return file(
    'application/pdf',
    new Uint8Array(await pdfPattern(pattern, tiling.result, { title: words, lines: [], stops: [] }))
  );
};
