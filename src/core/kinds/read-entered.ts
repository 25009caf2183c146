import { told, type RefusalSaid } from '../refusal-said.ts';
import { problemsOf } from '../schema/read.ts';
import { slippedThicknessIn, thickAsked } from '../schema/fields.ts';
import { MM_PER_IN } from '../units/factors.ts';
import { writeDecimal } from '../units/format-length.ts';
import { parseLength } from '../units/parse-length.ts';
import { pathById, valueAt } from '../joint/paths.ts';
import { Joint, type EnteredJoint } from './joint.ts';

/** One field that cannot be read yet, by its path with the ids of items; `instead` is a text that would work, offered as one tap. */
export interface EntryProblem {
  path: string;
  said: RefusalSaid;
  instead: string | null;
}

export type ReadJoint = { ok: true; definition: Joint } | { ok: false; problems: EntryProblem[] };

const REASON_MISSING: EntryProblem = {
  path: 'perInchReason',
  said: told('enter the source: document and page'),
  instead: null
};

const isThickness = (path: string) => /(thicknessIn|ThicknessIn|SheetIn)$/.test(path);

/** Paths of the thicknesses of a joint that are typed. */
const thicknessPaths = (entered: EnteredJoint): string[] => [
  ...entered.sheets.flatMap(({ id }) => [
    `sheets.${id}.thicknessIn`,
    `sheets.${id}.endThicknessIn`
  ]),
  ...Object.keys(entered).filter(isThickness)
];

/** The text at a path. */
function textAt(entered: EnteredJoint, path: string): string {
  const value = valueAt(entered, path);
  return typeof value === 'string' ? value : '';
}

function slipOf(path: string, entered: EnteredJoint): string | null {
  if (!isThickness(path)) return null;
  const read = parseLength(textAt(entered, path));
  const moved = read.ok ? slippedThicknessIn(read.valueIn) : null;
  if (moved === null) return null;
  // in the unit that it was typed in
  const metric = /mm\s*$/i.test(textAt(entered, path));
  return metric
    ? [writeDecimal(moved * MM_PER_IN, 0, 4), 'mm'].join(' ')
    : writeDecimal(moved, 3, 6);
}

/** Thick parts that nobody said are meant: each is asked about, and stands once the same text is confirmed. */
function thickProblems(entered: EnteredJoint): EntryProblem[] {
  return thicknessPaths(entered).flatMap((path) => {
    const text = textAt(entered, path);
    const read = parseLength(text);
    const said = read.ok ? thickAsked(read.valueIn) : null;
    return said === null || entered.thickMeant[path] === text
      ? []
      : [{ path, said, instead: slipOf(path, entered) }];
  });
}

/**
 * Reads a joint's fields into its definition.
 *
 * @returns the definition in inches, or every field that cannot be read, in the form's order of paths
 */
export function readEntered(entered: EnteredJoint): ReadJoint {
  const parsed = Joint.safeParse(entered, { reportInput: true });
  const thick = thickProblems(entered);
  if (parsed.success && thick.length > 0) return { ok: false, problems: thick };
  if (parsed.success) {
    const { perInch, perInchReason } = parsed.data;
    if (perInch === null || perInchReason.trim() !== '')
      return { ok: true, definition: parsed.data };
    return { ok: false, problems: [REASON_MISSING] };
  }
  const wrong = problemsOf(parsed.error).map(({ path, said }) => ({
    path: pathById(entered, path),
    said,
    instead: slipOf(path, entered)
  }));
  return {
    ok: false,
    problems: [...thick, ...wrong.filter(({ path }) => thick.every((one) => one.path !== path))]
  };
}
