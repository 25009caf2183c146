import { answer, invalidInput, workLine, type Answer } from '../answer.ts';
import { by, len } from '../notation.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Joint } from '../kinds/joint.ts';
import { told } from '../refusal-said.ts';
import { mostPitchIn, type LayLimits } from '../layout/pitch-limits.ts';
import { parseLength } from '../units/parse-length.ts';
import { above, below } from '../units/tolerance.ts';
import { runningMarkIn, spacesBetween, type LaidLine, type PlannedHole } from './holes.ts';

/** What a tape between two end holes says against the plan; inches. */
export interface MeasuredSpan {
  measuredIn: number;
  plannedIn: number;
  /** measured − planned */
  differenceIn: number;
  spaces: number;
  /** what the measured span is divided by its spaces */
  pitchIn: number;
  /** the pitch limit that those spaces break */
  breaks: { rule: 'pitch-min' | 'pitch-max'; limitIn: number } | null;
  /** hole numbers of the two ends */
  first: number;
  last: number;
}

/** A span that somebody measured; `found` is null where its line is gone or is not evenly laid any more. */
export interface PlannedSpan {
  line: string;
  name: string;
  found: Answer<MeasuredSpan> | null;
}

function against(
  measuredIn: number,
  line: LaidLine & { pitchIn: number },
  first: PlannedHole,
  last: PlannedHole,
  limits: LayLimits
): Answer<MeasuredSpan> {
  const plannedIn = Math.abs(runningMarkIn(line, last) - runningMarkIn(line, first));
  const spaces = spacesBetween(line, first, last);
  const pitchIn = measuredIn / spaces;
  const D = rivetSize(line.dash).diameterIn;
  const [leastIn, mostIn] = [limits.pitchMinD * D, mostPitchIn(limits, D)];
  const breaks = below(pitchIn, leastIn)
    ? { rule: 'pitch-min' as const, limitIn: leastIn }
    : above(pitchIn, mostIn)
      ? { rule: 'pitch-max' as const, limitIn: mostIn }
      : null;
  return answer(
    {
      measuredIn,
      plannedIn,
      differenceIn: measuredIn - plannedIn,
      spaces,
      pitchIn,
      breaks,
      first: first.number,
      last: last.number
    },
    [
      workLine(
        'measured against the plan',
        by`measured − planned = ${len(measuredIn)} − ${len(plannedIn)}`,
        measuredIn - plannedIn,
        'in'
      ),
      workLine('pitch', by`measured / spaces = ${len(measuredIn)} / ${spaces}`, pitchIn, 'in')
    ]
  );
}

/**
 * Spans between end holes as they were measured on the metal, each against its line as it is marked.
 *
 * @param limits the multiples of D that the lines are held to
 * @source layout: measure between the end rivets, divide by spaces
 */
export function measuredSpans(
  spans: Joint['spans'],
  lines: readonly LaidLine[],
  holes: readonly PlannedHole[],
  limits: LayLimits
): PlannedSpan[] {
  return spans.flatMap(({ line: key, spanIn: typed }): PlannedSpan[] => {
    if (typed.trim() === '') return [];
    const line = lines.find((one) => one.key === key);
    if (!line) return [{ line: key, name: key, found: null }];
    const end = (number: number | undefined) => holes.find((hole) => hole.number === number);
    const [first, last] = [end(line.holes[0]), end(line.holes.at(-1))];
    const measured = parseLength(typed);
    const { pitchIn } = line;
    const found =
      pitchIn === null || !first || !last || first === last
        ? null
        : !measured.ok
          ? invalidInput('spanIn', told(measured.message))
          : measured.valueIn <= 0
            ? invalidInput('spanIn', told('a measured span is more than nothing'))
            : against(measured.valueIn, { ...line, pitchIn }, first, last, limits);
    return [{ line: key, name: line.name, found }];
  });
}
