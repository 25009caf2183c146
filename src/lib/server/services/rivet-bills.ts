import type { Answer } from '../../../core/answer.ts';
import {
  billOfRivets,
  USUAL_SPARES,
  type BillOfRivets
} from '../../../core/stack/bill-of-rivets.ts';
import type { PartCount } from '../../../core/release/summary.ts';
import { shortages, type Shortage } from '../../../core/stock/shortages.ts';
import type { Database } from '../db/connect.ts';
import { jobNames, type JobView } from './jobs.ts';
import { partsOfJoints } from './joint-summaries.ts';
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

/** One line a part number: hundreds of joints take the same few. */
function summed(parts: readonly PartCount[]): PartCount[] {
  const counts = new Map<string, number>();
  for (const { partNumber, count } of parts)
    counts.set(partNumber, (counts.get(partNumber) ?? 0) + count);
  return [...counts].map(([partNumber, count]) => ({ partNumber, count }));
}

/** What all jobs together still want of the stock. */
export async function openShortages(database: Database): Promise<{
  shortages: Answer<Shortage[]>;
  jobs: { id: string; number: string; title: string }[];
  open: string[];
}> {
  const [jobs, joints, held, issued] = await Promise.all([
    jobNames(database),
    partsOfJoints(database),
    onHand(database),
    issuedToJobs(database)
  ]);
  return {
    shortages: shortages(
      jobs.map(({ id, number }) => ({
        job: number,
        needs: summed(joints.flatMap(({ jobId, parts }) => (jobId === id ? (parts ?? []) : []))),
        issued: issued.get(id) ?? {}
      })),
      held
    ),
    jobs,
    open: jobs.flatMap(({ id }) =>
      joints.flatMap(({ jobId, title, parts }) => (jobId === id && parts === null ? title : []))
    )
  };
}
