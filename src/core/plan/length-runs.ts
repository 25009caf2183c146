import type { Answer } from '../answer.ts';
import { byNumber } from './by-number.ts';
import type { LaidLine, PlannedHole } from './holes.ts';
import type { RivetLengthResult } from '../stack/rivet-length.ts';

/** Neighbouring holes of a line that take one part number. `partNumber` is null where no rivet fits. */
export interface LengthRun {
  line: string;
  fromHole: number;
  toHole: number;
  count: number;
  fromXIn: number;
  toXIn: number;
  partNumber: string | null;
  stack: number;
}

/** Between two holes the rivet changes; it lies half way between them. Lengths in inches. */
export interface LengthChange {
  line: string;
  afterHole: number;
  beforeHole: number;
  xIn: number;
  yIn: number;
  from: string | null;
  to: string | null;
}

/** A stack, by its rivet. */
interface Riveted {
  length: Answer<RivetLengthResult>;
}

const partOf = ({ length }: Riveted): string | null =>
  length.ok ? length.result.partNumber : null;

/**
 * Where along its lines a joint changes from one rivet to another. A held-open hole takes none, but keeps its
 * place: what is held open for later is drilled with its neighbours.
 *
 * @returns runs in the order of lines and holes, and the changes between them
 * @source stack-up: the grip changes along a row where a layer ends
 */
export function lengthRuns(
  lines: readonly LaidLine[],
  holes: readonly PlannedHole[],
  stacks: readonly Riveted[]
): { runs: LengthRun[]; changes: LengthChange[] } {
  const numbered = byNumber(holes);
  const parts = stacks.map(partOf);
  const runs: LengthRun[] = [];
  const changes: LengthChange[] = [];
  for (const { name, holes: numbers } of lines) {
    let run: LengthRun | null = null;
    let before: PlannedHole | null = null;
    for (const number of numbers) {
      const hole = numbered[number];
      if (!hole) continue;
      const partNumber = parts[hole.stack] ?? null;
      if (run && before && run.partNumber === partNumber) {
        run.toHole = number;
        run.toXIn = hole.xIn;
        run.count += 1;
      } else {
        if (run && before)
          changes.push({
            line: name,
            afterHole: before.number,
            beforeHole: number,
            xIn: (before.xIn + hole.xIn) / 2,
            yIn: (before.yIn + hole.yIn) / 2,
            from: run.partNumber,
            to: partNumber
          });
        run = {
          line: name,
          fromHole: number,
          toHole: number,
          count: 1,
          fromXIn: hole.xIn,
          toXIn: hole.xIn,
          partNumber,
          stack: hole.stack
        };
        runs.push(run);
      }
      before = hole;
    }
  }
  return { runs, changes };
}

/** A part number by what tells neighbouring rivets apart: its size and length. */
export const shortPart = (partNumber: string | null): string =>
  partNumber === null ? 'none' : (/\d-[\d.]+$/.exec(partNumber)?.[0] ?? partNumber);
