import type { Answer } from '../../../core/answer.ts';
import {
  billOfRivets,
  USUAL_SPARES,
  type BillOfRivets
} from '../../../core/stack/bill-of-rivets.ts';
import { shortages, type Shortage } from '../../../core/stock/shortages.ts';
import type { Database } from '../db/connect.ts';
import { listJobs, type JobView } from './jobs.ts';
import { issuedToJobs, onHand } from './stock.ts';

/** What a job takes from stock; `open`: joints whose rivets are not known yet. */
export interface JobBill {
  bill: Answer<BillOfRivets>;
  open: string[];
}

/** The bill of rivets of a whole job against what is in the bins. */
export function jobBill(
  job: Pick<JobView, 'joints'>,
  onHand: Readonly<Record<string, number>>
): JobBill {
  return {
    bill: billOfRivets({
      needs: job.joints.flatMap(({ parts }) => parts ?? []),
      spares: USUAL_SPARES,
      onHand
    }),
    open: job.joints.filter(({ parts }) => parts === null).map(({ title }) => title)
  };
}

/** What all jobs together still want of the stock. */
export async function openShortages(database: Database): Promise<{
  shortages: Answer<Shortage[]>;
  jobs: { id: string; number: string; title: string }[];
  open: string[];
}> {
  const [jobs, held, issued] = await Promise.all([
    listJobs(database),
    onHand(database),
    issuedToJobs(database)
  ]);
  return {
    shortages: shortages(
      jobs.map((job) => ({
        job: job.number,
        needs: job.joints.flatMap(({ parts }) => parts ?? []),
        issued: issued.get(job.id) ?? {}
      })),
      held
    ),
    jobs: jobs.map(({ id, number, title }) => ({ id, number, title })),
    open: jobs.flatMap(({ joints }) =>
      joints.filter(({ parts }) => parts === null).map(({ title }) => title)
    )
  };
}
