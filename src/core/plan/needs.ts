import type { Answer } from '../answer.ts';
import type { Need } from '../size/need.ts';
import { needed, type Needed } from '../size/needed.ts';
import { kindOf, type Joint } from '../kinds/joint.ts';
import type { Dash } from '../schema/fields.ts';

/** The sheet that the guidance is read for, and the other one where they differ; in. */
export function reckonedSheets(joint: Joint): { reckonedIn: number; otherIn: number | null } {
  const { sizing, countedOnIn } = kindOf(joint).metal(joint);
  if (countedOnIn !== null) return { reckonedIn: countedOnIn, otherIn: null };
  const thick = Math.max(...sizing);
  const thin = Math.min(...sizing);
  const [reckonedIn, otherIn] = joint.reckonOn === 'thickest' ? [thick, thin] : [thin, thick];
  return { reckonedIn, otherIn: thick === thin ? null : otherIn };
}

/** One width's rivets, reckoned on one sheet with one size. */
export const neededFor = (
  joint: Joint,
  widthIn: number,
  thicknessIn: number,
  dash: Dash
): Answer<Needed> =>
  needed({
    family: joint.family,
    thicknessIn,
    dash,
    widthIn,
    location: joint.location,
    head: joint.head,
    shear: kindOf(joint).metal(joint).shear,
    own: joint.perInch === null ? null : { perInch: joint.perInch, reason: joint.perInchReason }
  });

/** What rivets must carry, width by width; empty where the joint only holds parts together. */
export const needsOf = (joint: Joint, thicknessIn: number, dash: Dash): Need[] =>
  kindOf(joint)
    .widths(joint, dash)
    .map((width) => ({
      ...width,
      required: neededFor(joint, width.widthIn, thicknessIn, width.dash)
    }));
