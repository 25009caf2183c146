import type { EnteredJoint } from '../../../src/core/kinds/joint.ts';
import type { DrawnPart, PlanFiles } from './plan-files.ts';
import { fromRing, within, type Point } from './plane.ts';

/*
 * A joint held against docs/sources.md by what its files say alone: the marks, the pattern and the joint as typed. Tables are
 * copied here by hand from the published ones, limits from its entry `layout`; nothing is asked of the planner.
 */

/** Rounding of the files, and of circles drawn as many short lines; in. */
const FILE_IN = 2e-4;
/** A hole picked up from a drawing is as exact as the drawing. */
const D_OF: Record<string, number> = { 3: 0.09375, 4: 0.125, 5: 0.15625, 6: 0.1875, 8: 0.25 };
const FINAL_IN: Record<string, number> = { 3: 0.098, 4: 0.1285, 5: 0.159, 6: 0.191, 8: 0.257 };
const SCALES_IN: Record<string, number> = {
  '1/32': 1 / 32,
  '1/64': 1 / 64,
  '0.1': 0.1,
  '0.01': 0.01,
  '1mm': 1 / 25.4,
  '0.5mm': 0.5 / 25.4
};

/** A length as it was typed: digits, with `mm` behind where it is in mm. */
const typedIn = (text: string): number =>
  text.endsWith('mm') ? Number(text.slice(0, -2)) / 25.4 : Number(text);

/** How thick each part of the pattern is, by its key, from the sheets as typed; the first is under the manufactured head. */
function thickOf(joint: EnteredJoint): Record<string, number> {
  const sheets = joint.sheets.map(({ thicknessIn }) => typedIn(thicknessIn));
  const sum = (from: number) => sheets.slice(from).reduce((all, one) => all + one, 0);
  const [first = 0, second = 0] = sheets;
  switch (joint.kind) {
    case 'lap':
      return { UPPER: first, LOWER: sum(1) };
    case 'splice':
      return {
        NEAR: first,
        FAR: joint.farSheetIn === '' ? first : typedIn(joint.farSheetIn),
        'STRAP-1': second
      };
    case 'double-strap':
      return { NEAR: second, FAR: second, 'STRAP-1': first, 'STRAP-2': sheets[2] ?? 0 };
    case 'line':
    case 'tapered':
      return { FLANGE: sum(0) };
    case 'patch':
      return joint.style === 'plate-over'
        ? { DOUBLER: first, SKIN: sum(1) }
        : { SKIN: first, INSERT: first, DOUBLER: sum(1) };
    case 'round':
      return { SKIN: first, INSERT: first, DOUBLER: sum(1) };
    case 'panel':
      // frame over and under, the clear panel between
      return { FRAME: sum(0) - second, PANEL: second };
  }
}

interface Rivet {
  hole: number;
  line: string;
  at: Point;
  dash: string;
  D: number;
  state: string;
  grip: number;
  rivet: string;
  mark: number;
}

const number = (value: string | number | undefined): number => Number(value);

function rivetsOf({ marks }: PlanFiles): Rivet[] {
  return marks.flatMap((row) => {
    const rivet = String(row['rivet'] ?? '');
    const dash = /(?:AD|DD|D|A|B|E)(\d)-/.exec(rivet)?.[1] ?? '';
    return rivet === ''
      ? []
      : [
          {
            hole: number(row['hole']),
            line: String(row['line']),
            at: [number(row['x_in']), number(row['y_in'])] as Point,
            dash,
            D: D_OF[dash] ?? NaN,
            state: String(row['state']),
            grip: number(row['grip_in']),
            rivet,
            mark: number(row['mark_in'])
          }
        ];
  });
}

const onPart = (at: Point, { outline, openings }: DrawnPart): boolean =>
  (outline === null || within(at, outline)) && !openings.some((opening) => within(at, opening));
const fromEdge = (at: Point, { outline, openings }: DrawnPart): number =>
  Math.min(
    ...[...(outline === null ? [] : [outline]), ...openings].map((ring) => fromRing(at, ring))
  );

/** Everything about a joint’s files that docs/sources.md would not let pass, each as a word with its figures. */
export function whatIsWrong(joint: EnteredJoint, files: PlanFiles): string[] {
  const wrong: string[] = [];
  const say = (what: string, { hole }: Pick<Rivet, 'hole'>, ...figures: number[]) =>
    wrong.push(`${what} at hole ${hole}: ${figures.map((one) => one.toFixed(4)).join(', ')}`);
  const rivets = rivetsOf(files);
  const thick = thickOf(joint);
  const leastEdgeD = joint.head === 'countersunk' ? 2.5 : 2;

  for (const rivet of rivets) {
    const held = files.parts.filter((part) => onPart(rivet.at, part));
    const grip = held.reduce((sum, { key }) => sum + (thick[key] ?? NaN), 0);
    if (!(Math.abs(grip - rivet.grip) < FILE_IN)) say('off-sheet', rivet, grip, rivet.grip);
    for (const part of held) {
      // a rivet near an insert's rounded corner is a warning down to D
      const least = part.key === 'INSERT' ? rivet.D : leastEdgeD * rivet.D;
      const edge = fromEdge(rivet.at, part);
      if (edge < least - FILE_IN) say('edge', rivet, edge, least);
    }
    const length = Number(/-(\d+(?:\.\d+)?)$/.exec(rivet.rivet)?.[1]) / 16;
    const protrusion = length - rivet.grip;
    if (!(protrusion > rivet.D - 1e-6 && protrusion < 2 * rivet.D + 1e-6))
      say('protrusion', rivet, protrusion, rivet.D);
  }

  // every two of them: in one row three diameters, else two and a half, of the larger
  rivets.forEach((one, at) => {
    for (const other of rivets.slice(at + 1)) {
      const apart = Math.hypot(one.at[0] - other.at[0], one.at[1] - other.at[1]);
      const least = (one.line === other.line ? 3 : 2.5) * Math.max(one.D, other.D);
      if (apart < least - FILE_IN) say('too-close', other, apart, least);
    }
  });

  // every hole is drawn once, where the table says, as wide as its final drill
  for (const row of files.marks) {
    // reliefs and stop-drills stand on layers of their own
    if (row['state'] === 'relief' || row['state'] === 'stop drill') continue;
    const at: Point = [number(row['x_in']), number(row['y_in'])];
    const there = files.circles.filter(
      ({ layer, at: [x, y] }) =>
        (layer === 'HOLES' || layer === 'EXISTING' || layer === 'HELD_OPEN') &&
        Math.hypot(x - at[0], y - at[1]) < FILE_IN
    );
    const rivet = rivets.find(({ hole }) => hole === row['hole']);
    const widest = Math.min(...there.map(({ diameter }) => diameter));
    if (there.length === 0) wrong.push(`not-drawn at hole ${row['hole']}`);
    else if (rivet && Math.abs(widest - (FINAL_IN[rivet.dash] ?? NaN)) > FILE_IN)
      say('drawn-wide', rivet, widest);
  }
  const drawn = files.circles.filter(({ layer }) => layer === 'HOLES' || layer === 'EXISTING');
  const places = new Set(drawn.map(({ at: [x, y] }) => `${x.toFixed(3)} ${y.toFixed(3)}`));
  if (places.size !== rivets.length)
    wrong.push(`count: ${places.size} drawn, ${rivets.length} in the table`);

  // a mark that is laid lies on a division of the ruler
  const step = SCALES_IN[joint.scale];
  if (step !== undefined)
    for (const rivet of rivets) {
      if (rivet.state === 'existing' || rivet.state === 'pinned') continue;
      const off = Math.abs(rivet.mark / step - Math.round(rivet.mark / step)) * step;
      if (off > FILE_IN) say('off-ruler', rivet, rivet.mark, off);
    }
  return wrong;
}
