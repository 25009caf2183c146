import { num, type Answer } from '../answer.ts';
import type { Joint } from '../joint/kinds.ts';
import type { Dash } from '../schema/fields.ts';
import { needed, type Needed } from './needed.ts';

/** One width of the joint that rivets must carry. */
export interface Need {
  key: string;
  /** where these rivets are, as a sentence goes on: "on each side" */
  where: string;
  widthIn: number;
  dash: Dash;
  required: Answer<Needed>;
}

interface Width {
  key: string;
  where: string;
  widthIn: number;
  dash: Dash;
}

/** Size zones of a tapered member from end to end; without any, one zone of the joint's own size. */
export function sizeZones(
  { zones, lengthIn }: { zones: readonly { dash: Dash; toIn: number }[]; lengthIn: number },
  dash: Dash
): { fromIn: number; toIn: number; dash: Dash }[] {
  const inside = zones.filter((zone) => zone.toIn < lengthIn).sort((a, b) => a.toIn - b.toIn);
  const lastSize = zones.find((zone) => zone.toIn >= lengthIn)?.dash ?? dash;
  let fromIn = 0;
  const ends = [...inside, { dash: lastSize, toIn: lengthIn }];
  return ends.map((zone) => {
    const made = { fromIn, toIn: zone.toIn, dash: zone.dash };
    fromIn = zone.toIn;
    return made;
  });
}

function widthsOf(joint: Joint, dash: Dash): Width[] {
  switch (joint.kind) {
    case 'lap':
      return [{ key: 'joint', where: 'in the joint', widthIn: joint.widthIn, dash }];
    case 'splice':
      return [{ key: 'joint', where: 'on each side of the joint', widthIn: joint.widthIn, dash }];
    case 'sandwich':
      return [{ key: 'joint', where: 'on each side of the break', widthIn: joint.widthIn, dash }];
    case 'patch':
      return joint.carries === 'attach'
        ? []
        : [
            {
              key: 'w',
              where: `on the ${num(joint.cutoutWIn)} in side`,
              widthIn: joint.cutoutWIn,
              dash
            },
            {
              key: 'h',
              where: `on the ${num(joint.cutoutHIn)} in side`,
              widthIn: joint.cutoutHIn,
              dash
            }
          ];
    case 'round':
      return joint.carries === 'attach'
        ? []
        : [{ key: 'half', where: 'on each half of the rings', widthIn: joint.cutoutIn, dash }];
    case 'line':
      return joint.carries === 'attach'
        ? []
        : [{ key: 'line', where: 'along the line', widthIn: joint.lengthIn, dash }];
    case 'tapered':
      return joint.carries === 'attach'
        ? []
        : sizeZones(joint, dash).map((zone, index, all) => ({
            key: `zone-${index + 1}`,
            where: all.length === 1 ? 'along the member' : `in zone ${index + 1}`,
            widthIn: zone.toIn - zone.fromIn,
            dash: zone.dash
          }));
    case 'panel':
      return [];
  }
}

/** Every sheet thickness that rivets hold, in; a tapered layer counts with both ends. */
export function metalSheetsIn(joint: Joint): number[] {
  const sheetsIn = joint.sheets.flatMap(({ thicknessIn, endThicknessIn }) =>
    endThicknessIn === null ? [thicknessIn] : [thicknessIn, endThicknessIn]
  );
  if (joint.kind === 'splice' && joint.farSheetIn !== null) sheetsIn.push(joint.farSheetIn);
  if (joint.kind === 'panel') sheetsIn.splice(CLEAR_PANEL, 1);
  return sheetsIn;
}

/** Place of the clear panel among its sheets: plastic sizes no rivet. */
export const CLEAR_PANEL = 1;

/** The sheet that the guidance is read for. A broken member between straps is itself what must be carried. */
export function reckonedSheets(joint: Joint): { reckonedIn: number; otherIn: number | null } {
  if (joint.kind === 'sandwich')
    return { reckonedIn: joint.sheets[1]?.thicknessIn ?? 0, otherIn: null };
  const sheetsIn = metalSheetsIn(joint);
  const thick = Math.max(...sheetsIn);
  const thin = Math.min(...sheetsIn);
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
    shear: joint.kind === 'sandwich' ? joint.shear : 'single',
    own: joint.perInch === null ? null : { perInch: joint.perInch, reason: joint.perInchReason }
  });

/** What rivets must carry, width by width; empty where the joint only holds parts together. */
export const needsOf = (joint: Joint, thicknessIn: number, dash: Dash): Need[] =>
  widthsOf(joint, dash).map((width) => ({
    ...width,
    required: neededFor(joint, width.widthIn, thicknessIn, width.dash)
  }));
