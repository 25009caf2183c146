import { z } from 'zod';
import { JOINT_DOCUMENT } from '../documents/documents.ts';
import { EnteredJoint } from '../kinds/joint.ts';
import { told, type RefusalSaid } from '../refusal-said.ts';
import { illFormed } from '../schema/well-formed.ts';
import { problemsOf } from '../schema/read.ts';
import type { RuleProfile } from '../rules/profile.ts';

/** No file that comes in is larger. */
export const LARGEST_FILE_BYTES = 5 * 1024 * 1024;

const FORMAT = 'zanjador-joint';

const UNKNOWN_VERSION = 'this joint file is of a version that is not known here';

/** Everything but the definition, which is read by its version. */
const Cover = z.strictObject({
  format: z.literal(FORMAT),
  version: z
    .int(UNKNOWN_VERSION)
    .min(1, UNKNOWN_VERSION)
    .max(JOINT_DOCUMENT.version, UNKNOWN_VERSION),
  title: z.string().trim().min(1, 'the joint needs a name').max(80),
  definition: z.record(z.string(), z.unknown()),
  /** under which rules it was made; the reader plans it under its own */
  rules: z.strictObject({ name: z.string().max(60), version: z.int() }).optional(),
  /** what stopped the joint where the file was made, for whoever looks at it; the reader plans it anew */
  warnings: z.array(z.string().max(2000)).max(1000).optional()
});

export const JointFile = Cover.extend({
  version: z.literal(JOINT_DOCUMENT.version),
  definition: EnteredJoint
});
/** A joint as a file: its fields as typed. */
export type JointFile = z.output<typeof JointFile>;

export const jointFile = (
  title: string,
  definition: EnteredJoint,
  { name, version }: Pick<RuleProfile, 'name' | 'version'>,
  warnings: readonly string[] = []
): JointFile => ({
  format: FORMAT,
  version: JOINT_DOCUMENT.version,
  title,
  definition,
  rules: { name, version },
  ...(warnings.length > 0 ? { warnings: [...warnings] } : {})
});

export type ReadFile =
  { ok: true; file: JointFile } | { ok: false; path: string; said: RefusalSaid };

/** Reads a joint file, or says what is wrong with it and where. */
export function readJointFile(text: string): ReadFile {
  if (text.length > LARGEST_FILE_BYTES)
    return refuse('the file is over 5 MB: a joint file is a few kB');
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return refuse('the file is not JSON: it may be cut off or of another kind');
  }
  const unread = illFormed(parsed);
  if (unread) return { ok: false, ...unread };
  const format =
    typeof parsed === 'object' && parsed !== null && 'format' in parsed && parsed.format;
  if (format !== FORMAT) return refuse('this is not a joint file of this program');
  const cover = Cover.safeParse(parsed, { reportInput: true });
  if (!cover.success)
    return {
      ok: false,
      ...(problemsOf(cover.error)[0] ?? { path: '', said: told('it is no joint file') })
    };
  const { version, definition, ...rest } = cover.data;
  const read = JOINT_DOCUMENT.read(version, definition);
  if (!read.ok) return { ok: false, path: `definition.${read.path}`, said: read.problem };
  return {
    ok: true,
    file: { ...rest, version: JOINT_DOCUMENT.version, definition: read.value }
  };
}

const refuse = (text: string): ReadFile => ({ ok: false, path: '', said: told(text) });
