import { z } from 'zod';
import { EnteredJoint } from '../joint/kinds.ts';
import { problemsOf } from '../schema/read.ts';
import type { RuleProfile } from '../rules/profile.ts';

/** No file that comes in is larger. */
export const LARGEST_FILE_BYTES = 5 * 1024 * 1024;

const FORMAT = 'zanjador-joint';

export const JointFile = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(1, { error: 'this joint file is of a version that is not known here' }),
  title: z.string().trim().min(1, 'the joint needs a name').max(80),
  definition: EnteredJoint,
  /** under which rules it was made; the reader plans it under its own */
  rules: z.strictObject({ name: z.string().max(60), version: z.int() }).optional()
});
/** A joint as a file: its fields as typed. */
export type JointFile = z.output<typeof JointFile>;

export const jointFile = (
  title: string,
  definition: EnteredJoint,
  { name, version }: Pick<RuleProfile, 'name' | 'version'>
): JointFile => ({
  format: FORMAT,
  version: 1,
  title,
  definition,
  rules: { name, version }
});

export type ReadFile = { ok: true; file: JointFile } | { ok: false; message: string };

/** Reads a joint file, or says in a sentence what is wrong with it. */
export function readJointFile(text: string): ReadFile {
  if (text.length > LARGEST_FILE_BYTES)
    return { ok: false, message: 'the file is over 5 MB: a joint file is a few kB' };
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return { ok: false, message: 'the file is not JSON: it may be cut off or of another kind' };
  }
  const format =
    typeof parsed === 'object' && parsed !== null && 'format' in parsed && parsed.format;
  if (format !== FORMAT) return { ok: false, message: 'this is not a joint file of this program' };
  const read = JointFile.safeParse(parsed, { reportInput: true });
  if (read.success) return { ok: true, file: read.data };
  const [first] = problemsOf(read.error);
  return {
    ok: false,
    message: first
      ? `${first.path === '' ? '' : `${first.path}: `}${first.message}`
      : 'it is no joint file'
  };
}
