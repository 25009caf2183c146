import type { LaidLine, PlannedHole } from '../plan/holes.ts';
import { writeDecimal } from '../units/format-length.ts';
import { parseLength } from '../units/parse-length.ts';
import { fixedDatum, nextId } from '../joint/item-id.ts';
import { same } from '../units/tolerance.ts';
import type { EnteredJoint } from '../kinds/joint.ts';

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

const NO_BLIND = { blind: '', blindLeastIn: '', blindMostIn: '' };

function withEdit(
  edits: readonly Edit[],
  line: string,
  hole: Pick<HoleRef, 'index' | 'of'>,
  change: Partial<Edit>
): Edit[] {
  const before = edits.find((edit) => isOf(edit, line, hole));
  const after: Edit = {
    id: `${line}:${hole.index}/${hole.of}`,
    line,
    index: hole.index,
    of: hole.of,
    state: 'as-laid',
    nudgeIn: '',
    reason: '',
    drill: '',
    asRivets: false,
    ...NO_BLIND,
    ...before,
    ...change
  };
  const others = edits.filter((edit) => edit !== before);
  return says(after) ? [...others, after] : others;
}

/** A fixed hole at another running distance. */
export const fixedMoved = (
  entered: EnteredJoint,
  id: string,
  toIn: number
): Pick<EnteredJoint, 'fixed'> => ({
  fixed: entered.fixed.map((hole) => (hole.id === id ? { ...hole, atIn: written(toIn) } : hole))
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

/** Holds a hole open with its reason and its own drill, takes it out, or gives it its rivet back. */
export const withState = (
  entered: EnteredJoint,
  hole: Pick<HoleRef, 'index' | 'of'>,
  line: string,
  state: Edit['state'],
  open: Partial<
    Pick<Edit, 'reason' | 'drill' | 'asRivets' | 'blind' | 'blindLeastIn' | 'blindMostIn'>
  > = {}
): Pick<EnteredJoint, 'edits'> => ({
  edits: withEdit(entered.edits, line, hole, {
    state,
    reason: '',
    drill: '',
    asRivets: false,
    ...NO_BLIND,
    ...open
  })
});

/** Pins a hole where it is: the rest of its line is laid round it from now on. */
export function pinned(
  entered: EnteredJoint,
  hole: HoleRef,
  line: LaidLine
): Pick<EnteredJoint, 'fixed' | 'edits'> {
  const pin: Fixed = {
    id: nextId(entered.fixed, 'pin'),
    kind: 'pinned',
    line: line.key,
    name: 'pinned',
    atIn: written(hole.alongIn),
    offIn: '',
    state: '',
    holeIn: ''
  };
  return {
    fixed: [...entered.fixed, pin],
    edits: entered.edits.filter((edit) => !isOf(edit, line.key, hole))
  };
}

/** Lets a fixed hole go; a datum that was measured from it goes back to the beginning. */
export const withoutFixed = (
  entered: EnteredJoint,
  id: string
): Pick<EnteredJoint, 'fixed' | 'datum'> => ({
  fixed: entered.fixed.filter((hole) => hole.id !== id),
  datum: entered.datum === fixedDatum(id) ? 'start' : entered.datum
});
