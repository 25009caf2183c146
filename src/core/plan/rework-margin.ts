import { workLine, type WorkLine } from '../answer.ts';
import { upTo32nd } from '../units/ruler.ts';
import type { HeadroomLimit } from './headroom.ts';
import type { Plan } from './plan-shape.ts';

/** How much of a layout could still be saved by the next size of rivet. */
export interface ReworkMargin {
  /** holes that take a larger rivet */
  take: number;
  of: number;
  /** what stops the first of the others; null where there are none */
  limitedBy: HeadroomLimit | null;
  /** the most by which their edge distance is short of the next size, in; null where something else stops one of them too */
  moreEdgeIn: number | null;
  work: WorkLine[];
}

/**
 * The rework margin of a joint as one figure: it is a choice made at layout time, and its lack no fault.
 *
 * @returns null while there are no holes
 * @throws never
 * @source rework
 */
export function reworkMargin({
  headroom,
  holes
}: Pick<Plan, 'headroom' | 'holes'>): ReworkMargin | null {
  if (headroom.length === 0) return null;
  // one entry a hole, in the order of the holes
  const none = headroom.filter((room, at) => room.largestDash === holes[at]?.dash);
  const shortIn = none.map(({ edgeShortIn }) => edgeShortIn);
  const byEdge = none.length > 0 && shortIn.every((short) => short !== null);
  const moreEdgeIn = byEdge ? upTo32nd(Math.max(...shortIn)) : null;
  const take = headroom.length - none.length;
  return {
    take,
    of: headroom.length,
    limitedBy: none[0]?.limitedBy ?? null,
    moreEdgeIn,
    work: [
      workLine(
        'holes that take a larger rivet',
        `${headroom.length} − ${none.length}`,
        take,
        'holes'
      ),
      ...(moreEdgeIn === null
        ? []
        : [
            workLine(
              'the next size asks for',
              'the largest lack of edge distance, up to a whole 1/32',
              moreEdgeIn,
              'in'
            )
          ])
    ]
  };
}
