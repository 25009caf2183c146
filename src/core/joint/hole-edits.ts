import type { LaidLine, PlannedHole } from '../layout/holes.ts';
import { writeDecimal } from '../units/format-length.ts';
import { parseLength } from '../units/parse-length.ts';
import { same } from '../units/tolerance.ts';
import type { EnteredJoint } from './kinds.ts';

type Edit = EnteredJoint['edits'][number];
type Fixed = EnteredJoint['fixed'][number];
type HoleRef = Pick<PlannedHole, 'index' | 'of' | 'fixed' | 'alongIn'>;

/** Lengths set by hand are written to a millionth: the ruler decides what is marked. */
const written = (valueIn: number): string => writeDecimal(valueIn, 0, 6);

const isOf = (edit: Edit, line: string, { index, of }: Pick<HoleRef, 'index' | 'of'>): boolean =>
  edit.line === line && edit.index === index && edit.of === of;

/** An edit that says nothing any more is dropped. */
const says = ({ state, nudgeIn }: Edit): boolean =>
  state !== 'as-laid' || (nudgeIn.trim() !== '' && nudgeIn !== '0');

function withEdit(
  edits: readonly Edit[],
  line: string,
  hole: Pick<HoleRef, 'index' | 'of'>,
  change: Partial<Edit>
): Edit[] {
  const before = edits.find((edit) => isOf(edit, line, hole));
  const after: Edit = {
    line,
    index: hole.index,
    of: hole.of,
    state: 'as-laid',
    nudgeIn: '',
    reason: '',
    ...before,
    ...change
  };
  const others = edits.filter((edit) => edit !== before);
  return says(after) ? [...others, after] : others;
}

/** A fixed hole at another running distance. */
export const fixedMoved = (
  entered: EnteredJoint,
  index: number,
  toIn: number
): Pick<EnteredJoint, 'fixed'> => ({
  fixed: entered.fixed.map((hole, at) => (at === index ? { ...hole, atIn: written(toIn) } : hole))
});

/** Moves a hole along its line; a fixed one takes its new place for good. */
export function nudged(
  entered: EnteredJoint,
  hole: HoleRef,
  line: LaidLine,
  byIn: number
): Partial<Pick<EnteredJoint, 'fixed' | 'edits'>> {
  if (hole.fixed !== null) return fixedMoved(entered, hole.fixed, hole.alongIn + byIn);
  const before = entered.edits.find((edit) => isOf(edit, line.key, hole));
  const read = parseLength(before?.nudgeIn ?? '');
  const totalIn = (read.ok ? read.valueIn : 0) + byIn;
  const nudgeIn = same(totalIn, 0) ? '' : written(totalIn);
  return { edits: withEdit(entered.edits, line.key, hole, { nudgeIn }) };
}

/** Holds a hole open with its reason, takes it out, or gives it its rivet back. */
export const withState = (
  entered: EnteredJoint,
  hole: Pick<HoleRef, 'index' | 'of'>,
  line: string,
  state: Edit['state'],
  reason = ''
): Pick<EnteredJoint, 'edits'> => ({
  edits: withEdit(entered.edits, line, hole, { state, reason })
});

/** Pins a hole where it is: the rest of its line is laid round it from now on. */
export function pinned(
  entered: EnteredJoint,
  hole: HoleRef,
  line: LaidLine
): Pick<EnteredJoint, 'fixed' | 'edits'> {
  const pin: Fixed = {
    kind: 'pinned',
    line: line.key,
    name: 'pinned',
    atIn: written(hole.alongIn),
    offIn: ''
  };
  return {
    fixed: [...entered.fixed, pin],
    edits: entered.edits.filter((edit) => !isOf(edit, line.key, hole))
  };
}

/** Lets a fixed hole go; a datum that lies beyond it in the list follows its hole. */
export function withoutFixed(
  entered: EnteredJoint,
  index: number
): Pick<EnteredJoint, 'fixed' | 'datum'> {
  const datumAt = /^fixed-(\d+)$/.exec(entered.datum)?.[1];
  const at = datumAt === undefined ? -1 : Number(datumAt);
  return {
    fixed: entered.fixed.filter((_, place) => place !== index),
    datum: at === index ? 'start' : at > index ? `fixed-${at - 1}` : entered.datum
  };
}
