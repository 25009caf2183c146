import { distanceIn } from '../layout/hole-room.ts';
import { pointAt } from '../layout/lines.ts';
import { atMost, LOOKS_SAME_IN } from '../units/tolerance.ts';
import type { ByNumber } from './by-number.ts';
import type { LaidLine, PlannedHole } from './holes.ts';

/** Neighbours along every line, a ring's last with its first. */
export function forNeighbours(
  lines: readonly LaidLine[],
  numbered: ByNumber,
  rivetsOnly: boolean,
  each: (a: PlannedHole, b: PlannedHole) => void
): void {
  for (const line of lines) {
    let first: PlannedHole | undefined;
    let before: PlannedHole | undefined;
    let count = 0;
    for (const number of line.holes) {
      const hole = numbered[number];
      if (!hole || (rivetsOnly && hole.state !== 'rivet')) continue;
      if (before) each(before, hole);
      first ??= hole;
      before = hole;
      count += 1;
    }
    if (line.path.path === 'circle' && count > 2 && first && before) each(before, first);
  }
  // where two lines meet, at a corner or a zone's end, the gap runs on from one to the other
  for (const [own, other] of meetings(lines)) {
    const a = atEnd(own, numbered, rivetsOnly);
    const b = atEnd(other, numbered, rivetsOnly);
    if (a && b && a !== b) each(a, b);
  }
}

/** One end of a line. */
interface LineEnd {
  line: LaidLine;
  end: 'first' | 'last';
}

/** The hole that is nearest to one end of a line. */
function atEnd(
  { line, end }: LineEnd,
  numbered: ByNumber,
  rivetsOnly: boolean
): PlannedHole | undefined {
  const holes = end === 'first' ? line.holes : [...line.holes].reverse();
  const there = holes.find((number) => {
    const hole = numbered[number];
    return hole !== undefined && (!rivetsOnly || hole.state === 'rivet');
  });
  return there === undefined ? undefined : numbered[there];
}

/** The ends of lines that were laid onto one spot, each two once. */
function meetings(lines: readonly LaidLine[]): [LineEnd, LineEnd][] {
  const ends = lines.flatMap((line): (LineEnd & { xIn: number; yIn: number })[] =>
    line.path.path === 'circle' || line.laidCount === 0
      ? []
      : [
          { line, end: 'first', ...pointAt(line.path, line.fromIn) },
          { line, end: 'last', ...pointAt(line.path, line.toIn) }
        ]
  );
  return ends.flatMap((own, at) =>
    ends
      .slice(at + 1)
      .filter(
        (other) =>
          other.line !== own.line &&
          atMost(distanceIn(own.xIn - other.xIn, own.yIn - other.yIn), LOOKS_SAME_IN)
      )
      .map((other): [LineEnd, LineEnd] => [own, other])
  );
}
