import { z } from 'zod';
import { answer, num, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import {
  headLimits,
  limitsCalled,
  longMayPass,
  NOMINAL_HEIGHT_D,
  WIDEST_LONG_HEAD_D
} from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { Dash, HeadLimitsKey, lengthIn, type HeadLimitsName } from '../schema/fields.ts';
import { above, atLeast, atMost, below } from '../units/tolerance.ts';
import { flagVerdict, graver, MeasuredFinding, SeenFlag, Verdict } from './findings.ts';

const LARGEST_READING_IN = 10;

export const DrivenHeadInput = z.strictObject({
  dash: Dash,
  diameterIn: lengthIn("the head's diameter", { above: 0, most: LARGEST_READING_IN }),
  heightIn: lengthIn("the head's height", { above: 0, most: LARGEST_READING_IN }),
  limits: HeadLimitsKey.default('standard'),
  flags: z.array(SeenFlag).max(100).default([])
});
export type DrivenHeadInput = z.output<typeof DrivenHeadInput>;

/** A head by a school’s limits, or by those of the joint’s own data. */
type HeadToJudge = Omit<DrivenHeadInput, 'limits'> & { limits: HeadLimitsName };

export const DrivenHeadResult = z.strictObject({
  verdict: Verdict,
  findings: z.array(z.union([MeasuredFinding, SeenFlag])),
  diameterD: z.number(),
  heightD: z.number()
});
export type DrivenHeadResult = z.infer<typeof DrivenHeadResult>;

interface Measured {
  verdict: Verdict;
  finding: MeasuredFinding | null;
  why: string;
}

/** Judges the two measurements alone; first match wins. */
function judge(diameterD: number, heightD: number, limits: HeadLimitsName): Measured {
  const { diameterD: wide, heightD: high } = headLimits(limits);
  if (below(diameterD, wide.low)) {
    const metalD3 = diameterD ** 2 * heightD;
    const leastMetalD3 = wide.low ** 2 * high.low;
    const enough = atLeast(metalD3, leastMetalD3);
    if (above(heightD, NOMINAL_HEIGHT_D) && enough)
      return {
        verdict: 'drive-more',
        finding: 'under-driven',
        why: `${num(diameterD)} < ${wide.low} D wide, still ${num(heightD)} > ½ D high; metal d²·h ${num(metalD3)} ≥ ${num(leastMetalD3)}`
      };
    return {
      verdict: 'replace',
      finding: 'short-of-metal',
      why: enough
        ? `${num(diameterD)} < ${wide.low} D wide though already ${num(heightD)} ≤ ½ D high`
        : `${num(diameterD)} < ${wide.low} D wide; metal d²·h ${num(metalD3)} < ${num(leastMetalD3)} of the least good head`
    };
  }
  if (below(heightD, high.low))
    return {
      verdict: 'replace',
      finding: 'over-driven',
      why: `${num(heightD)} < ${high.low} D high`
    };
  if (above(diameterD, wide.high)) {
    const passable =
      longMayPass(limits) && atMost(heightD, high.high) && atMost(diameterD, WIDEST_LONG_HEAD_D);
    return {
      verdict: passable ? 'accept' : 'replace',
      finding: 'too-long',
      why: `${num(diameterD)} > ${wide.high} D wide${passable ? `, not over ${WIDEST_LONG_HEAD_D} D and ${num(heightD)} ≤ ${high.high} D high` : ''}`
    };
  }
  if (above(heightD, high.high))
    return {
      verdict: 'drive-more',
      finding: 'under-driven',
      why: `${num(heightD)} > ${high.high} D high`
    };
  return {
    verdict: 'accept',
    finding: null,
    why: `${wide.low} ≤ ${num(diameterD)} ≤ ${wide.high} D wide, ${high.low} ≤ ${num(heightD)} ≤ ${high.high} D high`
  };
}

/**
 * Judges a driven head from its diameter, its height and what the eye saw. The limit schools differ
 * in their windows, all in D, limits included.
 *
 * @param input inches; `flags` are what the eye saw beyond dressing
 * @returns the gravest verdict, the findings (measured first, then flags in the order given, each once)
 * and both measurements in D
 * @throws never
 * @source inspect; calculation `driven-head`
 * @example driven-head {"dash":4,"diameterIn":0.161,"heightIn":0.092} -> {"verdict":"drive-more","findings":["under-driven"]}
 */
export function drivenHead(input: HeadToJudge): Answer<DrivenHeadResult> {
  const { dash, diameterIn, heightIn, limits, flags } = input;
  const D = rivetSize(dash).diameterIn;
  const diameterD = diameterIn / D;
  const heightD = heightIn / D;
  const measured = judge(diameterD, heightD, limits);
  const seen = [...new Set(flags)];
  const verdict = seen.map(flagVerdict).reduce(graver, measured.verdict);

  return answer(
    {
      verdict,
      findings: [...(measured.finding ? [measured.finding] : []), ...seen],
      diameterD,
      heightD
    },
    [
      workLine('diameter in D', by`${len(diameterIn)} / ${len(D)}`, diameterD, 'D'),
      workLine('height in D', by`${len(heightIn)} / ${len(D)}`, heightD, 'D'),
      workLine(
        `measured, ${limitsCalled(limits)} limits`,
        measured.why,
        measured.finding ?? 'inside'
      ),
      ...seen.map((flag) => workLine('seen', flag, flagVerdict(flag))),
      workLine('verdict', 'the most severe of these', verdict)
    ]
  );
}
