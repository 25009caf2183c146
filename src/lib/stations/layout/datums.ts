import { fixedDatum } from '$core/joint/item-id.ts';
import type { EnteredJoint } from '$core/kinds/joint.ts';
import type { LaidLine } from '$core/plan/holes.ts';
import type { JointLayout } from '$core/plan/plan-shape.ts';

/** Further fixed holes are pinned or typed first: a list of thousands helps no one. */
const MOST_OFFERED = 100;

/** Where the running marks of a line may be measured from, in words; what is not there is not offered. */
export function datumOptions(
  entered: Pick<EnteredJoint, 'fixed' | 'datum'>,
  layout: Pick<JointLayout, 'cutOut'> | null,
  line: Pick<LaidLine, 'path'> | undefined
): { value: string; text: string }[] {
  // a ring's holes are marked by two distances, whatever the straight lines are measured from
  if (line?.path.path === 'circle')
    return [{ value: entered.datum, text: 'the left and the upper edge' }];
  const down =
    line?.path.path === 'straight' && Math.abs(line.path.dirY) > Math.abs(line.path.dirX);
  return [
    { value: 'start', text: down ? 'the upper edge' : 'the left edge' },
    { value: 'end', text: down ? 'the lower edge' : 'the right edge' },
    ...(layout?.cutOut ? [{ value: 'cut-out', text: 'the cutout’s edge' }] : []),
    ...entered.fixed.slice(0, MOST_OFFERED).map((hole, index) => ({
      value: fixedDatum(hole.id),
      text: `fixed hole ${hole.name === '' ? index + 1 : hole.name} at ${hole.atIn}`
    }))
  ];
}
