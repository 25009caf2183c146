import { num, workLine, type WorkLine } from '../answer.ts';
import { DENSITY_LB_PER_IN3, rivetVolumeIn3 } from '../stack/bill-of-rivets.ts';
import type { Dash, Head } from '../schema/fields.ts';

export interface JointMass {
  rivetsLb: number;
  /** metal the joint adds: lap, strap, doubler, insert, frame */
  metalLb: number;
  work: WorkLine[];
}

/**
 * What a joint weighs over the bare sheets: undriven rivets and the metal that is there twice.
 *
 * @param rivets counts by size and length, in
 * @param addedIn3 metal added, holes not taken off
 * @source sheets
 */
export function jointMass(
  rivets: readonly { dash: Dash; lengthIn: number; count: number }[],
  head: Head,
  addedIn3: number
): JointMass {
  const rivetsIn3 = rivets.reduce(
    (sum, { dash, lengthIn, count }) => sum + count * rivetVolumeIn3(dash, head, lengthIn),
    0
  );
  const rivetsLb = rivetsIn3 * DENSITY_LB_PER_IN3;
  const metalLb = addedIn3 * DENSITY_LB_PER_IN3;
  return {
    rivetsLb,
    metalLb,
    work: [
      workLine(
        'rivets',
        `volume × density = ${num(rivetsIn3)} × ${DENSITY_LB_PER_IN3.toFixed(3)} lb/in³`,
        rivetsLb,
        'lb'
      ),
      workLine(
        'metal added',
        `volume × density = ${num(addedIn3)} × ${DENSITY_LB_PER_IN3.toFixed(3)} lb/in³`,
        metalLb,
        'lb'
      )
    ]
  };
}
