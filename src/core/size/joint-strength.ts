import { z } from 'zod';
import { answer, invalidInput, notPossible, num, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { rivetSize } from '../catalog/rivets.ts';
import {
  PSI_PER_KSI,
  RIVET_SHEAR_KSI,
  SHEET_KEYS,
  SHEET_STRENGTHS,
  type SheetKey
} from '../catalog/strengths.ts';
import {
  Alloy,
  Dash,
  lengthIn,
  takesThickness,
  thicknessIfMeantIn,
  WIDEST_IN
} from '../schema/fields.ts';
import { atMost, below } from '../units/tolerance.ts';

export const JointStrengthInput = takesThickness({
  sheet: z.enum(SHEET_KEYS, { error: `the sheet is one of ${SHEET_KEYS.join(', ')}` }),
  thicknessIn: thicknessIfMeantIn,
  alloy: Alloy.default('AD'),
  dash: Dash,
  rows: z.int('a whole number of rows is expected').min(1).max(20),
  pitchIn: lengthIn('the pitch', { above: 0, most: WIDEST_IN }),
  edgeIn: lengthIn('the edge distance', { above: 0, most: WIDEST_IN })
});
export type JointStrengthInput = z.output<typeof JointStrengthInput>;

export const JointStrengthResult = z.strictObject({
  shearLb: z.number(),
  bearingLb: z.number(),
  netTensionLb: z.number(),
  grossLb: z.number(),
  governs: z.enum(['shear', 'bearing', 'net-tension']),
  efficiency: z.number()
});
export type JointStrengthResult = z.infer<typeof JointStrengthResult>;

const LEAST_EDGE_D = 1.5;
const FULL_BEARING_D = 2;

/** Bearing ultimate, ksi, between the values at e/D 1.5 and 2.0, constant above. */
function bearingKsi(sheet: SheetKey, edgeD: number): number {
  const { bearingAt1p5DKsi: low, bearingAt2DKsi: high } = SHEET_STRENGTHS[sheet];
  const share = (Math.min(edgeD, FULL_BEARING_D) - LEAST_EDGE_D) / (FULL_BEARING_D - LEAST_EDGE_D);
  return low + (high - low) * Math.max(0, share);
}

/**
 * The direct check of a joint, for judgment and never an approval: what one rivet carries in shear
 * and in bearing, what the sheet carries between holes, and the weakest against the whole sheet.
 *
 * @param input inches; `rows` share the load of one pitch
 * @returns pounds: shear and bearing a rivet, net tension and gross a pitch; `efficiency` is the weakest over gross
 * @throws never; `not-possible` under an edge distance of 1.5 D, `invalid-input` for a pitch not above the hole
 * @source size; calculation `joint-strength`
 * @example joint-strength {"sheet":"2024-T3 clad","thicknessIn":0.04,"dash":4,"rows":2,"pitchIn":0.5,"edgeIn":0.28125} -> {"governs":"shear","grossLb":1160}
 */
export function jointStrength(input: JointStrengthInput): Answer<JointStrengthResult> {
  const { sheet, thicknessIn, alloy, dash, rows, pitchIn, edgeIn } = input;
  const { diameterIn: D, nominalHoleIn: holeIn } = rivetSize(dash);
  if (atMost(pitchIn, holeIn))
    return invalidInput('pitchIn', { code: 'no-sheet-between', pitchIn, holeIn });
  if (below(edgeIn, LEAST_EDGE_D * D))
    return notPossible('edgeIn', {
      code: 'no-bearing-value',
      edgeIn,
      leastD: LEAST_EDGE_D,
      leastIn: LEAST_EDGE_D * D
    });
  const shearKsi = RIVET_SHEAR_KSI[alloy];
  const tensionKsi = SHEET_STRENGTHS[sheet].tensionKsi;
  const bearing = bearingKsi(sheet, edgeIn / D);
  const shearLb = shearKsi * PSI_PER_KSI * (Math.PI / 4) * holeIn ** 2;
  const bearingLb = bearing * PSI_PER_KSI * holeIn * thicknessIn;
  const netTensionLb = tensionKsi * PSI_PER_KSI * thicknessIn * (pitchIn - holeIn);
  const grossLb = tensionKsi * PSI_PER_KSI * thicknessIn * pitchIn;
  const limits = [
    { name: 'shear', loadLb: shearLb * rows },
    { name: 'bearing', loadLb: bearingLb * rows },
    { name: 'net-tension', loadLb: netTensionLb }
  ] as const;
  const weakest = limits.reduce((least, next) => (next.loadLb < least.loadLb ? next : least));
  const efficiency = weakest.loadLb / grossLb;
  return answer({ shearLb, bearingLb, netTensionLb, grossLb, governs: weakest.name, efficiency }, [
    workLine(
      'shear per rivet',
      `Fsu·π/4·dh² = ${shearKsi} ksi × π/4 × ${num(holeIn)}²`,
      shearLb,
      'lb',
      'shear'
    ),
    workLine('edge distance in D', by`${len(edgeIn)} / ${len(D)}`, edgeIn / D, 'D'),
    workLine(
      'bearing per rivet',
      `Fbru·dh·t = ${num(bearing)} ksi × ${num(holeIn)} × ${num(thicknessIn)}`,
      bearingLb,
      'lb',
      'bearing'
    ),
    workLine(
      'net tension per pitch',
      `Ftu·t·(p−dh) = ${tensionKsi} ksi × ${num(thicknessIn)} × (${num(pitchIn)} − ${num(holeIn)})`,
      netTensionLb,
      'lb'
    ),
    workLine(
      'gross sheet per pitch',
      `Ftu·t·p = ${tensionKsi} ksi × ${num(thicknessIn)} × ${num(pitchIn)}`,
      grossLb,
      'lb'
    ),
    workLine(
      'efficiency',
      `${weakest.name}${weakest.name === 'net-tension' ? '' : ` × ${rows} rows`} / whole sheet = ${num(weakest.loadLb)} / ${num(grossLb)}`,
      efficiency
    )
  ]);
}
