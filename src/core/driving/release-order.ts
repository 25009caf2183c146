import type { Release } from '../release/release.ts';
import type { DriveState } from './drive-events.ts';
import { drivingOrder, type OrderSchool } from './driving-order.ts';
import type { WorkLine } from '../answer.ts';

/** A member so much longer than deep, and so long, is driven along rather than from its middle. */
const LONG = 8;
const LONG_IN = 24;

/** In what order a release is driven: as it was told last, else by the school that suits its shape. */
export interface ReleaseOrder {
  school: OrderSchool;
  order: readonly number[];
  /** put in order by hand */
  byHand: boolean;
  /** which pass a hole is driven in by its school */
  passOf: ReadonlyMap<number, number>;
  /** arithmetic of the school's own order */
  work: readonly WorkLine[];
}

/** The order as it stands; the school's own is worked out once for all taps. */
export function releaseOrder(
  { facts, holes }: Pick<Release, 'facts' | 'holes'>,
  told: DriveState['order']
): ReleaseOrder {
  const { widthIn, overlapIn } = facts;
  const long = widthIn > LONG * overlapIn && widthIn > LONG_IN;
  const school = told?.school ?? (long ? 'sequence' : 'flat');
  const found = drivingOrder(holes, school);
  const own = found.ok ? found.result.order : [];
  return {
    school,
    order: told?.order ?? own,
    byHand: (told?.order ?? null) !== null,
    passOf: found.ok ? found.result.passOf : new Map(),
    work: found.ok ? found.work : []
  };
}
