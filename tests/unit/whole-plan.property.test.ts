import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { EnteredJoint, JointKind } from '../../src/core/kinds/joint.ts';
import { JOINT_KINDS } from '../../src/core/kinds/new-joint.ts';
import { readEntered } from '../../src/core/kinds/read-entered.ts';
import { plan } from '../../src/core/plan/plan.ts';
import { DEFAULT_PROFILE } from '../../src/core/rules/profile.ts';
import { entered } from '../support/joints.ts';
import { filesOf } from '../support/whole-plan/plan-files.ts';
import {
  byHand,
  given,
  inInches,
  inMm,
  jointOf,
  zonesOf,
  type ByHand,
  type Drafted,
  type Given
} from '../support/whole-plan/random-joint.ts';
import { whatIsWrong } from '../support/whole-plan/what-is-wrong.ts';

/*
 * Whole plans, recomputed from their files by geometry that shares nothing with the planner. What could be released must
 * hold every limit. Seeds are fixed; `./zanjador fuzz` takes fresh ones.
 */
const SEED = Number(process.env['PROPERTY_SEED'] ?? 7_310);
const RUNS = Number(process.env['PROPERTY_RUNS'] ?? 40);

/** A joint with what is given there and what is changed by hand, at lines and holes that it has. */
function changed(joint: EnteredJoint, hands: readonly ByHand[], givens: readonly Given[]) {
  const linesOf = (one: EnteredJoint) => {
    const read = readEntered(one);
    const planned = read.ok ? plan(read.definition, DEFAULT_PROFILE) : null;
    return planned?.layout.ok ? planned.layout.result.lines : [];
  };
  const there: EnteredJoint = { ...joint, fixed: [], keepOuts: [] };
  const lines = linesOf(joint);
  if (lines.length === 0) return joint;
  givens.forEach((one, at) => {
    const line = lines[one.line % lines.length];
    const path = line?.path;
    if (!line || path?.path !== 'straight') return;
    // the same place from whichever unit the length came: never half way between two that can be written
    const along = (path.lengthIn * one.along) / 100 + 1e-7;
    const id = `given-${at + 1}`;
    if (one.what === 'existing')
      there.fixed = [
        ...there.fixed,
        {
          id,
          kind: 'existing',
          line: line.key,
          name: '',
          atIn: along.toFixed(4),
          offIn: inInches(one.off),
          state: '',
          holeIn: ''
        }
      ];
    else
      there.keepOuts = [
        ...there.keepOuts,
        {
          id,
          name: 'drain',
          shape: 'round',
          xIn: along.toFixed(4),
          yIn: '0.5',
          wIn: inInches(Math.abs(one.off) + 1000),
          hIn: ''
        }
      ];
  });
  const now = linesOf(there);
  if (now.length === 0) return there;
  const edits = hands.map((hand, at) => {
    const line = now[hand.line % now.length];
    const of = line?.laidCount ?? 1;
    return {
      id: `edit-${at + 1}`,
      line: line?.key ?? '',
      index: hand.hole % of,
      of,
      state: hand.state,
      asRivets: false,
      blind: '',
      blindLeastIn: '',
      blindMostIn: '',
      nudgeIn: hand.nudge === 0 ? '' : inInches(hand.nudge),
      reason: hand.state === 'held-open' ? 'latch' : '',
      drill: ''
    };
  });
  const once = edits.filter(
    (edit, at) =>
      edits.findIndex(({ line, index }) => line === edit.line && index === edit.index) === at
  );
  return { ...there, edits: once };
}

interface Case {
  draft: Drafted;
  mm: boolean;
  zones: (3 | 4 | 5)[];
  hands: ByHand[];
  givens: Given[];
}
const caseOf = (kind: JointKind): fc.Arbitrary<Case> =>
  fc.record({
    draft: jointOf(kind),
    mm: fc.boolean(),
    zones: fc.array(fc.constantFrom<(3 | 4 | 5)[]>(3, 4, 5), { maxLength: 3 }),
    hands: fc.oneof(fc.constant<ByHand[]>([]), fc.array(byHand, { minLength: 1, maxLength: 2 })),
    givens: fc.oneof(fc.constant<Given[]>([]), fc.array(given, { minLength: 1, maxLength: 2 }))
  });

describe('whole plans by their files alone', () => {
  it.each(JOINT_KINDS)('of a %s', (kind) => {
    let released = 0;
    fc.assert(
      fc.property(caseOf(kind), ({ draft, mm, zones, hands, givens }) => {
        const joint = changed(zonesOf(draft(mm ? inMm : inInches), zones), hands, givens);
        const files = filesOf(joint);
        if (!files) return;
        released += 1;
        expect(whatIsWrong(joint, files)).toEqual([]);
      }),
      { seed: SEED, numRuns: RUNS }
    );
    expect(released).toBeGreaterThan(0);
  });

  it.each(JOINT_KINDS)('are the same whether a %s is typed in mm or in inches', (kind) => {
    let released = 0;
    fc.assert(
      fc.property(caseOf(kind), ({ draft, givens }) => {
        const [inches, mm] = [inInches, inMm].map((write) =>
          filesOf(changed(draft(write), [], givens))
        );
        released += inches ? 1 : 0;
        // all but the last figure that a file writes
        const places = (of: typeof mm) =>
          of?.marks.map((row) => [row['line'], Number(row['mark_in']).toFixed(5), row['rivet']]);
        expect(places(mm)).toEqual(places(inches));
      }),
      { seed: SEED, numRuns: RUNS }
    );
    expect(released).toBeGreaterThan(0);
  });
});

/** What the properties above found, mended: a hole that lies off a sheet that its grip counts is never released. */
describe('a hole off one of its sheets', () => {
  const offSheet = (joint: EnteredJoint): boolean => {
    const read = readEntered(joint);
    const planned = read.ok ? plan(read.definition, DEFAULT_PROFILE) : null;
    if (!planned?.layout.ok) throw new Error('it is laid, and judged');
    expect(filesOf(joint)).toBeNull();
    return planned.layout.result.checks.some(({ rule, ok }) => rule === 'no-metal' && !ok);
  };
  const existing = (line: string, atIn: string, offIn: string) => ({
    id: 'a',
    kind: 'existing' as const,
    line,
    name: '',
    atIn,
    offIn,
    state: '',
    holeIn: ''
  });
  const moved = (line: string, of: number, nudgeIn: string) => ({
    id: 'e',
    line,
    index: 0,
    of,
    state: 'as-laid' as const,
    asRivets: false,
    blind: '',
    blindLeastIn: '',
    blindMostIn: '',
    nudgeIn,
    reason: '',
    drill: ''
  });
  const firstLine = (joint: EnteredJoint) => {
    const read = readEntered(joint);
    const planned = read.ok ? plan(read.definition, DEFAULT_PROFILE) : null;
    if (!planned?.layout.ok) throw new Error('not laid');
    return planned.layout.result.lines[0];
  };

  it('of a lap, past the end of the upper sheet', () => {
    const lap = (change: object) => entered('lap', ['0.040', '0.040'], { widthIn: '8', ...change });
    expect(filesOf(lap({}))).not.toBeNull();
    const key = firstLine(lap({}))?.key ?? '';
    expect(offSheet(lap({ fixed: [existing(key, '4', '-0.6')] }))).toBe(true);
  });

  it('of a patch, inside its cutout', () => {
    const patch = (change: object) =>
      entered('patch', ['0.025', '0.025'], {
        style: 'plate-under',
        carries: 'attach',
        cutoutWIn: '2',
        cutoutHIn: '2',
        cornerRadiusIn: '0.3125',
        ...change
      });
    const key = firstLine(patch({}))?.key ?? '';
    expect(offSheet(patch({ fixed: [existing(key, '1.3', '0.4')] }))).toBe(true);
  });

  it('of a splice, past the near skin; of a round patch, moved along its ring it stays on', () => {
    const splice = (change: object) =>
      entered('splice', ['0.040', '0.050'], { widthIn: '8', gapIn: '0.5', ...change });
    expect(offSheet(splice({ fixed: [existing('near-1', '4', '0.9')] }))).toBe(true);
    const round = (change: object) =>
      entered('round', ['0.040', '0.040'], {
        cutoutIn: '4',
        insert: false,
        carries: 'attach',
        ...change
      });
    const ring = firstLine(round({}));
    const on = round({ edits: [moved(ring?.key ?? '', ring?.laidCount ?? 0, '0.02')] });
    const read = readEntered(on);
    const planned = read.ok ? plan(read.definition, DEFAULT_PROFILE) : null;
    expect(
      planned?.layout.ok && planned.layout.result.checks.some(({ rule }) => rule === 'no-metal')
    ).toBe(false);
  });

  it('of a member between straps, moved past a strap’s end', () => {
    const straps = (change: object) =>
      entered('double-strap', ['0.040', '0.050', '0.040'], {
        widthIn: '1',
        run: 'along',
        ...change
      });
    const line = firstLine(straps({}));
    const joint = straps({ edits: [moved(line?.key ?? '', line?.laidCount ?? 0, '-1.2')] });
    expect(offSheet(joint)).toBe(true);
  });
});
