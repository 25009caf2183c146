import { problemsOf } from '../schema/read.ts';
import { slippedThicknessIn } from '../schema/fields.ts';
import { writeDecimal } from '../units/format-length.ts';
import { parseLength } from '../units/parse-length.ts';
import { LapJoint, type EnteredLap } from './lap.ts';

/** One field that cannot be read yet; `instead` is a text that would work, offered as one tap. */
export interface EntryProblem {
  path: string;
  message: string;
  instead: string | null;
}

export type ReadJoint =
  { ok: true; definition: LapJoint } | { ok: false; problems: EntryProblem[] };

/** An empty optional field stands for "not given". */
const given = (text: string): string | null => (text.trim() === '' ? null : text);

function slipOf(path: string, entered: EnteredLap): string | null {
  const sheet = /^sheets\.(\d+)\.thicknessIn$/.exec(path)?.[1];
  if (sheet === undefined) return null;
  const read = parseLength(entered.sheets[Number(sheet)]?.thicknessIn ?? '');
  const moved = read.ok ? slippedThicknessIn(read.valueIn) : null;
  return moved === null ? null : writeDecimal(moved, 3, 6);
}

/**
 * Reads a joint's fields into its definition.
 *
 * @returns the definition in inches, or every field that cannot be read, in the form's order of paths
 */
export function readEntered(entered: EnteredLap): ReadJoint {
  const parsed = LapJoint.safeParse(
    { ...entered, edgeIn: given(entered.edgeIn), nearPitchIn: given(entered.nearPitchIn) },
    { reportInput: true }
  );
  if (parsed.success) return { ok: true, definition: parsed.data };
  return {
    ok: false,
    problems: problemsOf(parsed.error).map(({ path, message }) => ({
      path,
      message,
      instead: slipOf(path, entered)
    }))
  };
}
