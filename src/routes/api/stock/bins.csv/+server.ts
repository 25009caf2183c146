import { stockCsv } from '$lib/exchange/stock-csv';
import { csvFile } from '$lib/server/answers';
import { listBins } from '$lib/server/services/stock';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) =>
  csvFile('rivet-stock.csv', stockCsv(await listBins(locals.database())));
