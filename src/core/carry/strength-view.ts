import type { Answer } from '../answer.ts';
import { SHEET_STRENGTHS, type SheetKey } from '../catalog/strengths.ts';
import type { Joint } from '../joint/kinds.ts';
import type { Plan } from '../plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { Family } from '../schema/fields.ts';
import { bestPitch, efficiencyCurve, type EfficiencyPoint } from './efficiency-curve.ts';
import { interRivetBuckling, type InterRivetBuckling } from './inter-rivet-buckling.ts';
import { CLEAR_PANEL, metalSheetsIn } from './needs.ts';
import { jointStrength, type JointStrengthResult } from './joint-strength.ts';

/** The weakest listed sheet of each family of the guidance. */
const WEAKEST: Record<Family, SheetKey> = {
  'high-strength': '2024-T3 bare',
  'clad-2024': '2024-T3 clad',
  '5052': '5052-H34'
};

/** Which sheet a strength is judged on. `sheetChosen`: told, not merely the weakest of the family. */
export interface StrengthBasis {
  sheet: SheetKey;
  sheetChosen: boolean;
  thicknessIn: number;
}

/** The direct strength check at every pitch: why more rivets stop helping. For judgement, never an approval. */
export interface StrengthView extends StrengthBasis {
  tensionKsi: number;
  curve: EfficiencyPoint[];
  best: EfficiencyPoint | null;
  at: Answer<JointStrengthResult>;
  pitchIn: number;
  pitchD: number;
  rows: number;
  buckling: Answer<InterRivetBuckling>;
}

/**
 * The sheet that a joint's strength is judged on: the one chosen, or what its layers say, or the weakest of the family.
 * The thinner sheet stretches, tears and buckles first; between straps the member is what must hold.
 *
 * @returns thickness in inches
 */
export function strengthBasis(joint: Joint, reckonedIn: number): StrengthBasis {
  const thinnest =
    joint.kind === 'sandwich'
      ? joint.sheets[1]
      : joint.sheets
          .filter((_, at) => joint.kind !== 'panel' || at !== CLEAR_PANEL)
          .reduce((thin, sheet) => (sheet.thicknessIn < thin.thicknessIn ? sheet : thin));
  const told = thinnest?.material ?? '';
  const sheet =
    joint.strengthSheet !== 'family'
      ? joint.strengthSheet
      : told === ''
        ? WEAKEST[joint.family]
        : told;
  return {
    sheet,
    sheetChosen: joint.strengthSheet !== 'family' || told !== '',
    thicknessIn: joint.kind === 'sandwich' ? reckonedIn : Math.min(...metalSheetsIn(joint))
  };
}

/**
 * Joint efficiency against pitch for a laid-out joint, with the point where it stands.
 *
 * @returns null while the joint cannot be laid out
 * @source handbook 4.1
 */
export function strengthView(
  joint: Joint,
  planned: Plan,
  profile: RuleProfile
): StrengthView | null {
  if (!planned.layout.ok) return null;
  const { rowsSharing, pitchIn, figures } = planned.layout.result;
  const { sheet, sheetChosen, thicknessIn } = strengthBasis(joint, planned.reckonedSheetIn);
  const edgeIn = figures.find(({ key }) => key === 'edge')?.valueIn ?? 2 * planned.diameterIn;
  const common = {
    sheet,
    thicknessIn,
    alloy: joint.alloy,
    dash: planned.dash,
    rows: rowsSharing,
    edgeIn
  };
  const curve = efficiencyCurve(common, profile.multipliers);
  return {
    sheet,
    sheetChosen,
    thicknessIn,
    tensionKsi: SHEET_STRENGTHS[sheet].tensionKsi,
    curve,
    best: bestPitch(curve),
    at: jointStrength({ ...common, pitchIn }),
    pitchIn,
    pitchD: pitchIn / planned.diameterIn,
    rows: rowsSharing,
    buckling: interRivetBuckling({ thicknessIn, pitchIn, head: joint.head })
  };
}
