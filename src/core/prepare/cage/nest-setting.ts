import { z } from 'zod';
import { answer, notPossible, workLine, type Answer } from '../../answer.ts';
import { by, len } from '../../notation.ts';
import { rivetSize } from '../../catalog/rivets.ts';
import { CLICK_IN, dimpleNest } from '../../stack/dimple-nest.ts';
import { above } from '../../units/tolerance.ts';
import type { CageSetup } from './setup.ts';

export const NestSetting = z.strictObject({
  clicks: z.int(),
  extraClicks: z.int(),
  /** the cut from the face at its deepest, in */
  depthIn: z.number(),
  /** metal left beneath it, in */
  wallIn: z.number()
});
/** The second setting of a cage: for holes in which a dimple nests. */
export type NestSetting = z.output<typeof NestSetting>;

/**
 * The setting for holes beneath a dimple, from the flush setting and the cage's own step: of one cutter, whose angle both
 * cuts have. That the cut stays in its sheet is held against the longer of that step and an ordinary one.
 *
 * @param flushClicks the flush setting; @param flushIn where the deepest head stands at it, in
 * @param stepIn what a click of this cage cuts
 * @returns `not-possible` where the cut would go through the sheet
 * @source stack-up (nest) and prepare; calculation `dimple-nest`
 */
export function nestSetting(
  setup: Pick<CageSetup, 'dash' | 'skinIn' | 'sheetIn'>,
  flushClicks: number,
  flushIn: number,
  stepIn: number
): Answer<NestSetting> {
  const nest = dimpleNest({ skinIn: setup.skinIn ?? 0, dash: setup.dash, clickIn: stepIn });
  if (!nest.ok) return nest;
  const { extraClicks } = nest.result;
  const { heightIn } = rivetSize(setup.dash).head.countersunk;
  const longestIn = Math.max(stepIn, CLICK_IN);
  const depthIn = heightIn - flushIn + extraClicks * longestIn;
  const wallIn = setup.sheetIn - depthIn;
  if (above(depthIn, setup.sheetIn))
    return notPossible('sheetIn', { code: 'nest-through', depthIn, sheetIn: setup.sheetIn });
  return answer({ clicks: flushClicks + extraClicks, extraClicks, depthIn, wallIn }, [
    ...nest.work,
    workLine('setting', `${flushClicks} + ${extraClicks}`, flushClicks + extraClicks, 'clicks'),
    workLine(
      'left under the cut',
      by`${len(setup.sheetIn)} − (${len(heightIn)} − ${len(flushIn)} + ${extraClicks} × ${len(longestIn)})`,
      wallIn,
      'in'
    )
  ]);
}
