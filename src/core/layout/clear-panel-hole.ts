import { z } from 'zod';
import { answer, notPossible, num, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { DRILLS } from '../catalog/drills.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { Dash, lengthIn, WIDEST_IN } from '../schema/fields.ts';
import { atLeast, below } from '../units/tolerance.ts';

export const ClearPanelHoleInput = z.strictObject({
  panel: z.enum(['polycarbonate', 'acrylic']),
  spanIn: lengthIn("the panel's span", { above: 0, most: WIDEST_IN }),
  deltaTC: z.number('a temperature difference in °C is expected').min(-500).max(500),
  dash: Dash
});
export type ClearPanelHoleInput = z.output<typeof ClearPanelHoleInput>;

export const ClearPanelHoleResult = z.strictObject({
  growthIn: z.number(),
  holeIn: z.number(),
  drill: z.string(),
  coverIn: z.number(),
  needsWasher: z.boolean()
});
export type ClearPanelHoleResult = z.infer<typeof ClearPanelHoleResult>;

/** Growth per °C (layout). */
const GROWTH_PER_C = { polycarbonate: 68e-6, acrylic: 72e-6, aluminium: 23e-6 };
const PLAY_IN = 0.01;
/** A head must still cover the hole by this much with the panel fully grown. */
export const LEAST_COVER_IN = 1 / 32;

/**
 * The hole a clear plastic panel needs so that it can grow against its aluminium frame.
 *
 * @param input span from fixed point to fixed point, in; temperature difference, °C, by its size
 * @returns inches: growth each way from the middle, the hole before rounding up to a drill, what the
 * universal head still covers when grown
 * @throws never; `not-possible` when no drill up to H is large enough
 * @source layout; calculation `clear-panel-hole`
 * @example clear-panel-hole {"panel":"acrylic","spanIn":12.8,"deltaTC":60,"dash":5} -> {"drill":"#6","growthIn":0.018816,"needsWasher":false}
 */
export function clearPanelHole(input: ClearPanelHoleInput): Answer<ClearPanelHoleResult> {
  const { panel, spanIn, deltaTC, dash } = input;
  const rivet = rivetSize(dash);
  const difference = Math.abs(GROWTH_PER_C[panel] - GROWTH_PER_C.aluminium);
  const growthIn = (difference * Math.abs(deltaTC) * spanIn) / 2;
  const holeIn = rivet.diameterIn + 2 * growthIn + PLAY_IN;
  const drill = DRILLS.find(({ diameterIn }) => atLeast(diameterIn, holeIn));
  if (!drill) {
    const largest = DRILLS.at(-1);
    return notPossible('spanIn', {
      code: 'over-largest-drill',
      holeIn,
      drill: largest?.name ?? '',
      drillIn: largest?.diameterIn ?? 0
    });
  }
  const coverIn = (rivet.head.universal.diameterIn - drill.diameterIn) / 2 - growthIn;
  return answer(
    { growthIn, holeIn, drill: drill.name, coverIn, needsWasher: below(coverIn, LEAST_COVER_IN) },
    [
      workLine(
        'growth each way',
        by`|αp − αf| · ΔT · L/2 = ${num(difference * 1e6)}e-6 × ${num(Math.abs(deltaTC))} × ${len(spanIn)} / 2`,
        growthIn,
        'in'
      ),
      workLine(
        'hole',
        by`D + 2Δ + play = ${len(rivet.diameterIn)} + 2 × ${len(growthIn)} + ${len(PLAY_IN)}`,
        holeIn,
        'in'
      ),
      workLine('drill', `next drill up: ${drill.name}`, drill.diameterIn, 'in'),
      workLine(
        'head still covers',
        by`(${len(rivet.head.universal.diameterIn)} − ${len(drill.diameterIn)}) / 2 − ${len(growthIn)}`,
        coverIn,
        'in'
      )
    ]
  );
}
