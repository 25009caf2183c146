import type { DrilledOnly } from '../kinds/kind-layout.ts';
import type { JointLayout } from './plan-shape.ts';
import { runningMarkIn, spacesBetween, type LaidLine, type PlannedHole } from './holes.ts';

/** One thing to do on the metal, in order, as a code with its quantities; lengths in inches. */
export type MetalStep =
  | { code: 'datum' }
  | { code: 'scribe-circle'; line: string; radiusIn: number }
  | { code: 'draw'; line: string; atIn: number; from: 'upper' | 'left' }
  | { code: 'draw-slanted'; line: string; fromIn: number; toIn: number }
  | {
      code: 'mark-ring';
      line: string;
      holes: number;
      first: number;
      rightIn: number;
      downIn: number;
    }
  | {
      code: 'end-holes';
      /** of the line */
      key: string;
      line: string;
      first: { number: number; atIn: number };
      last: { number: number; atIn: number };
    }
  | { code: 'mark-each'; line: string; holes: number }
  | {
      code: 'divide';
      line: string;
      spaces: number;
      pitchIn: number;
      /** as they lie along it: corner holes keep the numbers of the line that they were laid on */
      holes: number[];
    }
  | { code: 'outline-rect'; xIn: number; yIn: number; wIn: number; hIn: number }
  | { code: 'outline-circle'; radiusIn: number }
  | { code: 'reliefs'; holes: number; diameterIn: number }
  | { code: 'drilled-only'; why: DrilledOnly['why']; drill: string; xIn: number; yIn: number }
  | { code: 'growth'; part: string; drill: string; diameterIn: number }
  | { code: 'stay-open'; holes: { number: number; reason: string }[] }
  | { code: 'check'; holes: number };

function edgeStep({ name: line, path }: LaidLine): MetalStep {
  if (path.path === 'circle') return { code: 'scribe-circle', line, radiusIn: path.radiusIn };
  if (path.dirX !== 0 && path.dirY !== 0)
    return {
      code: 'draw-slanted',
      line,
      fromIn: path.yIn,
      toIn: path.yIn + path.dirY * path.lengthIn
    };
  const level = Math.abs(path.dirX) > Math.abs(path.dirY);
  return {
    code: 'draw',
    line,
    atIn: level ? path.yIn : path.xIn,
    from: level ? 'upper' : 'left'
  };
}

function lineSteps(line: LaidLine, holes: Map<number, PlannedHole>): MetalStep[] {
  const own = line.holes.map((number) => holes.get(number)).filter((hole) => hole !== undefined);
  const [first, last] = [own[0], own.at(-1)];
  if (!first || !last) return [];
  const { name } = line;
  if (line.path.path === 'circle')
    return [
      {
        code: 'mark-ring',
        line: name,
        holes: own.length,
        first: first.number,
        rightIn: first.markIn,
        downIn: first.crossMarkIn ?? 0
      }
    ];
  return [
    {
      code: 'end-holes',
      key: line.key,
      line: name,
      // along this line: a corner's own mark is that of the line it was laid on
      first: { number: first.number, atIn: runningMarkIn(line, first) },
      last: { number: last.number, atIn: runningMarkIn(line, last) }
    },
    line.pitchIn === null
      ? { code: 'mark-each', line: name, holes: own.length }
      : {
          code: 'divide',
          line: name,
          spaces: spacesBetween({ ...line, pitchIn: line.pitchIn }, first, last),
          pitchIn: line.pitchIn,
          holes: own.map(({ number }) => number)
        }
  ];
}

/**
 * What to do on the metal, in the order that keeps it true: edge lines, corner and end holes, measure between
 * them, divide, mark; cut-outs with the holes that relieve their corners.
 *
 * @returns lengths in inches
 * @source layout, order on metal and corner relief
 */
export function metalSteps(layout: JointLayout): MetalStep[] {
  const holes = new Map(layout.holes.map((hole) => [hole.number, hole]));
  const steps: MetalStep[] = [{ code: 'datum' }, ...layout.lines.map(edgeStep)];
  const { cutOut, reliefs, drilledOnly, growth } = layout;
  if (cutOut?.shape === 'rect') {
    const { xIn, yIn, wIn, hIn } = cutOut;
    steps.push({ code: 'outline-rect', xIn, yIn, wIn, hIn });
  }
  if (cutOut?.shape === 'circle') steps.push({ code: 'outline-circle', radiusIn: cutOut.radiusIn });
  const [relief] = reliefs;
  if (relief) steps.push({ code: 'reliefs', holes: reliefs.length, diameterIn: relief.diameterIn });
  for (const { why, drill, xIn, yIn } of drilledOnly)
    steps.push({ code: 'drilled-only', why, drill, xIn, yIn });
  for (const line of layout.lines) steps.push(...lineSteps(line, holes));
  const open = layout.holes.filter((hole) => hole.state === 'held-open');
  if (open.length > 0)
    steps.push({
      code: 'stay-open',
      holes: open.map(({ number, reason }) => ({ number, reason }))
    });
  steps.push({ code: 'check', holes: layout.drilled });
  // opened last, in the panel alone: nothing is drilled before the marks are checked
  if (growth) steps.push({ code: 'growth', ...growth });
  return steps;
}
