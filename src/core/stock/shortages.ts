import { answer, workLine, type Answer } from '../answer.ts';
import { billOfRivets, USUAL_SPARES } from '../stack/bill-of-rivets.ts';

/** What one open job asks of the stock. */
export interface JobNeed {
  job: string;
  needs: { partNumber: string; count: number }[];
  /** already handed out to it, by part number */
  issued: Readonly<Record<string, number>>;
}

/** One part number over all open jobs. */
export interface Shortage {
  partNumber: string;
  /** still to be handed out, spares counted */
  wanted: number;
  onHand: number;
  short: number;
  jobs: { job: string; wanted: number }[];
}

/**
 * What the open jobs together still want of each rivet, against what is in the bins.
 *
 * @param jobs needs by part number, and what each job was already given
 * @param onHand counts by canonical part number
 * @returns every part that a job still wants, the shortest first; spares are reckoned job by job
 * @throws never; a part number that cannot be read is `invalid-input`
 */
export function shortages(
  jobs: readonly JobNeed[],
  onHand: Readonly<Record<string, number>>
): Answer<Shortage[]> {
  const parts = new Map<string, Shortage>();
  for (const { job, needs, issued } of jobs) {
    const bill = billOfRivets({ needs: [...needs], spares: USUAL_SPARES });
    if (!bill.ok) return bill;
    for (const { partNumber, toDraw } of bill.result.lines) {
      const wanted = Math.max(0, toDraw - (issued[partNumber] ?? 0));
      if (wanted === 0) continue;
      const found = parts.get(partNumber) ?? {
        partNumber,
        wanted: 0,
        onHand: onHand[partNumber] ?? 0,
        short: 0,
        jobs: []
      };
      found.wanted += wanted;
      found.short = Math.max(0, found.wanted - found.onHand);
      found.jobs.push({ job, wanted });
      parts.set(partNumber, found);
    }
  }
  const list = [...parts.values()].sort(
    (a, b) => b.short - a.short || a.partNumber.localeCompare(b.partNumber, 'en', { numeric: true })
  );
  return answer(
    list,
    list.map(({ partNumber, wanted, onHand: held, short, jobs: wanting }) =>
      workLine(
        partNumber,
        `${wanting.map((one) => `${one.wanted} for ${one.job}`).join(' + ')} = ${wanted}, ${held} in the bins`,
        short,
        'short'
      )
    )
  );
}
