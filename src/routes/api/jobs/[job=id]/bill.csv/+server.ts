import { error } from '@sveltejs/kit';
import { writeCsv } from '$lib/exchange/csv';
import { csvFile } from '$lib/server/answers';
import { getJob } from '$lib/server/services/jobs';
import { jobBill } from '$lib/server/services/rivet-bills';
import { onHand } from '$lib/server/services/stock';
import { refusalInWords } from '$lib/words/refusals';
import type { RequestHandler } from './$types';

const COLUMNS = ['part_number', 'needed', 'spares', 'to_draw', 'on_hand', 'short', 'mass_lb'];

export const GET: RequestHandler = async ({ params, locals }) => {
  const database = locals.database();
  const job = await getJob(database, params.job);
  if (!job.ok) error(404, 'There is no such job.');
  const { bill } = jobBill(job.value, await onHand(database));
  if (!bill.ok) error(422, refusalInWords(bill.error.said, locals.length));
  return csvFile(
    `rivets-${job.value.number.replace(/[^A-Za-z0-9]+/g, '-')}.csv`,
    writeCsv(
      COLUMNS,
      bill.result.lines.map((line) => ({
        part_number: line.partNumber,
        needed: line.needed,
        spares: line.spares,
        to_draw: line.toDraw,
        on_hand: line.onHand ?? '',
        short: line.short ?? '',
        mass_lb: line.massLb.toFixed(6)
      }))
    )
  );
};
