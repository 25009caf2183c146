import { z } from 'zod';
import { answer, invalidInput, workLine, type Answer, type WorkLine } from '../answer.ts';
import { by, len, lens } from '../notation.ts';
import { drillIn } from '../catalog/drills.ts';
import { DASHES, rivetSize } from '../catalog/rivets.ts';
import { DEFAULT_MULTIPLIERS, type Multipliers } from '../rules/multipliers.ts';
import {
  Dash,
  DrillSchool,
  Head,
  Increments,
  lengthIn,
  sheetsIn,
  takesThickness,
  WIDEST_IN
} from '../schema/fields.ts';
import { takesLargerCut } from '../stack/flush-method.ts';
import { writePartNumber } from '../stack/part-number.ts';
import { stockedLength } from '../stack/rivet-length.ts';
import { above, atMost, below } from '../units/tolerance.ts';

export const OversizeInput = takesThickness({
  dash: Dash,
  head: Head,
  holeIn: lengthIn('the measured hole', { above: 0, most: 2 }),
  edgeIn: lengthIn('the edge distance', { above: 0, most: WIDEST_IN }),
  pitchesIn: z
    .array(lengthIn('the pitch to a neighbor', { above: 0, most: WIDEST_IN }))
    .max(20, 'at most 20 neighbors'),
  sheetsIn,
  increments: Increments.default('half'),
  school: DrillSchool.default('close')
});
export type OversizeInput = z.output<typeof OversizeInput>;

const Fail = z.enum(['hole', 'edge', 'pitch', 'flush', 'length', 'no-larger-size']);

export const OversizeResult = z.strictObject({
  decision: z.enum(['keep', 'next-size', 'refer']),
  dash: Dash,
  partNumber: z.string().nullable(),
  fails: z.array(Fail)
});
export type OversizeResult = z.infer<typeof OversizeResult>;

/** A hole this much over its final drill still takes the same rivet. */
const KEEP_IN = 0.003;

/**
 * What to do with a hole that has grown: keep the size, go one up, or refer. One size up must hold
 * its own edge distance, pitch, flush method and length.
 *
 * @param input inches; `pitchesIn` to each neighbour
 * @param limits the rule profile's multiples of D
 * @returns the decision; `fails` names what stands against the next size; `partNumber` only with `next-size`
 * @throws never; a hole smaller than D is `invalid-input`
 * @source rework; calculation `oversize`
 * @example oversize {"dash":4,"head":"universal","holeIn":0.14,"edgeIn":0.4,"pitchesIn":[0.6],"sheetsIn":[0.04,0.04]} -> {"decision":"next-size","dash":5,"partNumber":"MS20470AD5-5"}
 */
export function oversize(
  input: OversizeInput,
  limits: Multipliers = DEFAULT_MULTIPLIERS
): Answer<OversizeResult> {
  const { dash, head, holeIn, edgeIn, pitchesIn, sheetsIn, increments, school } = input;
  const D = rivetSize(dash).diameterIn;
  if (below(holeIn, D))
    return invalidInput('holeIn', { code: 'hole-too-small', holeIn, dash, diameterIn: D });
  const keepUpToIn = drillIn(rivetSize(dash).drill[school]) + KEEP_IN;
  const work: WorkLine[] = [
    workLine(
      'keep up to',
      by`final drill ${rivetSize(dash).drill[school]} + ${len(KEEP_IN)}; the hole is ${len(holeIn)}`,
      keepUpToIn,
      'in'
    )
  ];
  const decide = (
    decision: OversizeResult['decision'],
    changes: Partial<OversizeResult> = {}
  ): Answer<OversizeResult> =>
    answer({ decision, dash, partNumber: null, fails: [], ...changes }, work);
  if (atMost(holeIn, keepUpToIn)) return decide('keep');

  const next = DASHES[DASHES.indexOf(dash) + 1];
  if (next === undefined) return decide('refer', { fails: ['no-larger-size'] });
  const bigger = rivetSize(next);
  const drill = bigger.drill[school];
  const edgeMinIn = limits.edgeMinD[head] * bigger.diameterIn;
  const pitchMinIn = limits.pitchMinD * bigger.diameterIn;
  const gripIn = sheetsIn.reduce((sum, sheet) => sum + sheet, 0);
  const stocked = stockedLength(gripIn, { dash: next, increments, lean: 'nearest' });
  work.push(
    workLine(
      'next final drill',
      `dash ${next}, ${school} practice: ${drill}`,
      drillIn(drill),
      'in'
    ),
    workLine(
      'its edge minimum',
      by`${limits.edgeMinD[head]} D; there is ${len(edgeIn)}`,
      edgeMinIn,
      'in'
    ),
    workLine(
      'its pitch minimum',
      by`${limits.pitchMinD} D; there ${pitchesIn.length === 1 ? 'is' : 'are'} ${pitchesIn.length === 0 ? 'no neighbors' : lens(pitchesIn, ', ')}`,
      pitchMinIn,
      'in'
    )
  );
  const against: [z.infer<typeof Fail>, boolean][] = [
    ['hole', above(holeIn, drillIn(drill))],
    ['edge', below(edgeIn, edgeMinIn)],
    ['pitch', pitchesIn.some((pitchIn) => below(pitchIn, pitchMinIn))],
    ['flush', head === 'countersunk' && !takesLargerCut(sheetsIn, next)],
    ['length', !stocked.ok]
  ];
  const fails = against.filter(([, failed]) => failed).map(([name]) => name);
  if (fails.length > 0 || !stocked.ok) return decide('refer', { fails });
  const partNumber = writePartNumber('MS', head, 'AD', next, stocked.sixteenths);
  work.push(
    workLine('grip', lens(sheetsIn, ' + '), gripIn, 'in'),
    workLine('its length', by`nearest to ${len(stocked.idealIn)}`, stocked.lengthIn, 'in')
  );
  return decide('next-size', { dash: next, partNumber });
}
