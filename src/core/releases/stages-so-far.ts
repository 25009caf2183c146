import type { Station } from '../plan/plan-shape.ts';
import type { PlanSummary } from '../release/summary.ts';
import { inspectedOf, type MarkCounts } from './release-count.ts';

/** How far a joint is at one stage. */
export type StageMark = 'done' | 'begun' | 'blocked' | 'not-begun';

const PLANNED: readonly Station[] = ['size', 'layout', 'stack-up'];

/** What a list knows of the newest release of a joint. */
export interface ReleasedSoFar {
  holes: number;
  driven: number;
  marks: MarkCounts;
  questions: number;
  signed: boolean;
}

/** The three stages of planning: those before the one that stops the joint are done, those after it are not. */
function planned(summary: PlanSummary | null): StageMark[] {
  if (!summary || summary.state === 'unreadable') return ['begun', 'not-begun', 'not-begun'];
  const stopped = summary.stoppedAt === null ? -1 : PLANNED.indexOf(summary.stoppedAt);
  return PLANNED.map((_, at) =>
    stopped < 0 || at < stopped ? 'done' : at === stopped ? 'blocked' : 'not-begun'
  );
}

const far = (done: number, of: number): StageMark =>
  done >= of ? 'done' : done > 0 ? 'begun' : 'not-begun';

/**
 * How far a joint is at each of its seven stages, as a list knows it.
 *
 * @param prepared whether any step of Prepare was logged: how many there are is not known to a list
 * @param released its newest release; null where there is none of the joint as it is
 */
export function stagesSoFar(
  summary: PlanSummary | null,
  prepared: boolean,
  released: ReleasedSoFar | null
): StageMark[] {
  const prepare: StageMark = prepared ? 'begun' : 'not-begun';
  if (!released) return [...planned(summary), prepare, 'not-begun', 'not-begun', 'not-begun'];
  const { holes, driven, marks, questions, signed } = released;
  const bad = marks['drive-more'] + marks.replace + marks.refer + marks.out + questions > 0;
  return [
    'done',
    'done',
    'done',
    prepare,
    far(driven, holes),
    bad ? 'blocked' : far(inspectedOf(marks), holes),
    signed ? 'done' : 'not-begun'
  ];
}
