import { z } from 'zod';
import { answer, num, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { SHEET_MODULUS_KSI } from '../catalog/strengths.ts';
import { Head, lengthIn, thicknessIfMeantIn, WIDEST_IN } from '../schema/fields.ts';

export const InterRivetBucklingInput = z.strictObject({
  thicknessIn: thicknessIfMeantIn,
  head: Head,
  pitchIn: lengthIn('the pitch', { above: 0, most: WIDEST_IN }),
  /** compression the skin carries, ksi; without it only the buckling stress is given */
  stressKsi: z.number().positive('the compression is over 0 ksi').max(1000).optional()
});
export type InterRivetBucklingInput = z.output<typeof InterRivetBucklingInput>;

export interface InterRivetBuckling {
  bucklingKsi: number;
  /** the largest pitch at which the sheet does not buckle under the stress given, in */
  maxPitchIn: number | null;
}

/** How firmly a head holds the sheet down between rivets. */
const HOLD: Record<Head, number> = { universal: 4, countersunk: 1 };
const SHAPE = 0.9;

/**
 * When a compressed skin buckles between its rivets: an upper bound on pitch.
 *
 * @param input inches and ksi
 * @returns buckling stress in ksi; the largest pitch in inches when a stress is given
 * @throws never
 * @source size: 0.9·c·E·(t/p)², c = 4 universal, 1 countersunk, E = 10,300 ksi
 */
export function interRivetBuckling(input: InterRivetBucklingInput): Answer<InterRivetBuckling> {
  const { thicknessIn, head, pitchIn, stressKsi } = input;
  const c = HOLD[head];
  const bucklingKsi = SHAPE * c * SHEET_MODULUS_KSI * (thicknessIn / pitchIn) ** 2;
  const work = [
    workLine(
      'buckles at',
      `0.9·c·E·(t/p)² = 0.9 × ${c} × ${SHEET_MODULUS_KSI} × (${num(thicknessIn)} / ${num(pitchIn)})²`,
      bucklingKsi,
      'ksi'
    )
  ];
  if (stressKsi === undefined) return answer({ bucklingKsi, maxPitchIn: null }, work);
  const maxPitchIn = thicknessIn * Math.sqrt((SHAPE * c * SHEET_MODULUS_KSI) / stressKsi);
  work.push(
    workLine(
      'maximum pitch',
      by`t·√(0.9·c·E / σ) = ${len(thicknessIn)} × √(0.9 × ${c} × ${SHEET_MODULUS_KSI} / ${num(stressKsi)})`,
      maxPitchIn,
      'in'
    )
  );
  return answer({ bucklingKsi, maxPitchIn }, work);
}
