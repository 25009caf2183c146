import type { Release } from '../release/release.ts';
import type { ReworkState } from '../reworking/rework-state.ts';
import { samePlace, type AtPlace } from './same-place.ts';
import { replacedBy, type SinceRelease } from './since-release.ts';

/** What rework left in the metal at a planned hole, instead of what the plan has there. */
export interface InMetal {
  hole: number;
  /** its rivet; null where a blind fastener went in */
  partNumber: string | null;
  /** a blind fastener, as the data holder named it */
  fastener: string | null;
  /** the hole that is in the metal, in; null where its size was not taken down */
  holeIn: number | null;
}

/**
 * Planned holes whose place in the metal was reworked to another rivet, another hole or a blind fastener in the latest
 * release, or in an earlier one it took over.
 *
 * @param planned holes of the joint as it is planned now, by their own numbers
 * @returns in the order of `planned`
 * @source rework: a replacement is part of the joint
 */
export function inMetal(
  planned: readonly (AtPlace & { number: number })[],
  release: Pick<Release, 'holes' | 'heldOpen'>,
  rework: ReworkState,
  since: SinceRelease | null
): InMetal[] {
  const there = new Map<number, Omit<InMetal, 'hole'>>();
  for (const { hole, rivet } of since?.replaced ?? [])
    there.set(hole, { partNumber: rivet.partNumber, fastener: null, holeIn: rivet.holeIn });
  for (const { hole, fastener } of since?.blind ?? [])
    there.set(hole, { partNumber: null, fastener, holeIn: null });
  for (const [hole, now] of rework.holes) {
    const rivet = replacedBy(now);
    if (rivet)
      there.set(hole, { partNumber: rivet.partNumber, fastener: null, holeIn: rivet.holeIn });
    else if (now.blind)
      there.set(hole, {
        partNumber: null,
        fastener: now.blind.fastener,
        holeIn: now.blind.drillIn
      });
  }
  if (there.size === 0) return [];
  const reworked = [...release.holes, ...release.heldOpen].filter(({ number }) =>
    there.has(number)
  );
  return planned.flatMap((hole) => {
    const was = reworked.find((one) => samePlace(one, hole));
    const found = was && there.get(was.number);
    return found ? [{ hole: hole.number, ...found }] : [];
  });
}
