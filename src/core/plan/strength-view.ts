import type { Answer } from '../answer.ts';
import { SHEET_STRENGTHS, type SheetKey } from '../catalog/strengths.ts';
import { kindOf, type Joint } from '../kinds/joint.ts';
import type { Plan } from './plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';
import type { Family } from '../schema/fields.ts';
import { bestPitch, efficiencyCurve, type EfficiencyPoint } from '../size/efficiency-curve.ts';
import { interRivetBuckling, type InterRivetBuckling } from '../size/inter-rivet-buckling.ts';
import { jointStrength, type JointStrengthResult } from '../size/joint-strength.ts';

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
 * The sheet that a joint's strength is judged on: of those loaded, the one that tears first. Each is of the sheet chosen
 * for the joint, else of its own material, else of the weakest of the family.
 *
 * @returns thickness in inches
 */
export function strengthBasis(joint: Joint): StrengthBasis {
  const { strengthSheet, family } = joint;
  const strength = ({ sheet, thicknessIn }: StrengthBasis) =>
    SHEET_STRENGTHS[sheet].tensionKsi * thicknessIn;
  return kindOf(joint)
    .metal(joint)
    .loaded.map(({ told, thicknessIn }): StrengthBasis => {
      const own = strengthSheet !== 'family' ? strengthSheet : told;
      return { sheet: own === '' ? WEAKEST[family] : own, sheetChosen: own !== '', thicknessIn };
    })
    .reduce((weakest, sheet) => (strength(sheet) < strength(weakest) ? sheet : weakest));
}

/**
 * Joint efficiency against pitch for a laid-out joint, with the point where it stands.
 *
 * @returns null while the joint cannot be laid out
 * @source size
 */
export function strengthView(
  joint: Joint,
  planned: Plan,
  profile: RuleProfile
): StrengthView | null {
  if (!planned.layout.ok) return null;
  const { rowsSharing, figures, ...laid } = planned.layout.result;
  const pitchIn = laid.shareIn ?? laid.pitchIn;
  const { sheet, sheetChosen, thicknessIn } = strengthBasis(joint);
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
    // the thinnest buckles first, whatever it is made of
    buckling: interRivetBuckling({
      thicknessIn: Math.min(
        ...kindOf(joint)
          .metal(joint)
          .loaded.map((sheet) => sheet.thicknessIn)
      ),
      pitchIn: laid.pitchIn,
      head: joint.head
    })
  };
}
