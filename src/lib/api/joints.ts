import { z } from 'zod';
import { EnteredJoint } from '../../core/kinds/joint.ts';
import { ILL_FORMED, isWellFormed } from '../../core/schema/well-formed.ts';
import { endpoint } from './endpoint.ts';

export const JointTitle = z
  .string()
  .trim()
  .min(1, 'the joint needs a name')
  .max(80, 'a joint name is at most 80 characters')
  .refine(isWellFormed, { message: ILL_FORMED });

/** What a page sends when it saves: the document and the revision it was typed upon. */
export const JointSave = z.strictObject({
  baseRevision: z.int().min(1),
  title: JointTitle,
  definition: EnteredJoint
});
export type JointSave = z.output<typeof JointSave>;

const Saved = z.object({ saved: z.literal(true), revision: z.int(), savedAt: z.string() });
/** Somebody else saved meanwhile: their document and what they changed. */
const Stale = z.object({
  saved: z.literal(false),
  revision: z.int(),
  title: z.string(),
  definition: EnteredJoint,
  savedBy: z.string().nullable(),
  changes: z.array(z.object({ path: z.string(), was: z.string(), now: z.string() }))
});
export type Stale = z.output<typeof Stale>;

/** A save: the new revision, or what someone else changed meanwhile. */
export const SaveOutcome = z.discriminatedUnion('saved', [Saved, Stale]);
export type SaveOutcome = z.output<typeof SaveOutcome>;

export const saveJointAt = endpoint({
  method: 'PUT',
  path: ({ joint }: { joint: string }) => `/api/joints/${joint}`,
  request: JointSave,
  response: SaveOutcome,
  alsoAt: 409
});

/** What a page sends to move a joint under other rules. */
export const JointRules = z.strictObject({ profileId: z.uuid(), baseRevision: z.int().min(1) });
export type JointRules = z.output<typeof JointRules>;

export const setRulesAt = endpoint({
  method: 'PUT',
  path: ({ joint }: { joint: string }) => `/api/joints/${joint}/rules`,
  request: JointRules,
  response: z.object({ revision: z.int() })
});

export const releaseJointAt = endpoint({
  method: 'POST',
  path: ({ joint }: { joint: string }) => `/api/joints/${joint}/issues`,
  request: z.strictObject({ revision: z.int().min(1) }),
  response: z.object({ number: z.int() })
});
