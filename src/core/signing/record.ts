import { z } from 'zod';
import { HeadJudged } from '../inspect/head-judged.ts';
import { HoleLook } from '../inspect/hole-look.ts';
import { DriveFrozen } from '../driving/drive-events.ts';
import { DriveMove } from '../driving/drive-move.ts';
import { ReleasedFacts, ReleasedRoom } from '../release/release.ts';
import { OldWorkMove } from '../old-work/old-work-stream.ts';
import { OpenBlind } from '../plan/open-blind.ts';
import { ReworkFrozen } from '../reworking/rework-subject.ts';
import { ReworkMove } from '../reworking/rework-moves.ts';
import { SinceRelease } from '../releases/since-release.ts';
import { BatchTimes } from '../rules/icebox.ts';
import { Dash } from '../schema/fields.ts';
import { FoundTool } from '../tool-setting/tool-moves.ts';
import { Told } from './told.ts';

/** An event with who did it, who sent it where that was another, and what was frozen with it. */
const event = <M extends z.ZodType, F extends z.ZodType>(move: M, frozen: F) =>
  z.strictObject({ by: z.string(), sentBy: z.string().optional(), move, frozen });

const RecordedHole = z.strictObject({
  number: z.number().int(),
  row: z.number().int(),
  xIn: z.number(),
  yIn: z.number(),
  markIn: z.number(),
  dash: Dash,
  /** what is in it now, rework counted; null where it gets no rivet */
  partNumber: z.string().nullable(),
  gripIn: z.number().nullable(),
  lengthIn: z.number().nullable(),
  holeIn: z.number().nullable(),
  room: ReleasedRoom.nullable(),
  /** why it gets no rivet; empty where it does */
  heldOpen: z.string(),
  /** the blind rivet planned or approved for it, which is in no strength and no count; left out where there is none */
  blind: OpenBlind.extend({
    standing: z.enum(['not-in', 'not-inspected', 'good', 'bad']),
    lot: z.string(),
    putInBy: z.string().nullable(),
    putInAt: z.string().nullable(),
    inspectedBy: z.array(z.string())
  }).optional()
});

export const JointRecord = z.strictObject({
  format: z.literal('zanjador-record'),
  version: z.literal(1),
  joint: z.strictObject({
    id: z.string(),
    title: z.string(),
    job: z.strictObject({
      number: z.string(),
      title: z.string(),
      place: z.string(),
      data: z.string()
    })
  }),
  release: z.strictObject({
    id: z.string(),
    number: z.number().int(),
    revision: z.number().int(),
    issuedAt: z.string(),
    issuedBy: z.string(),
    /** the joint as its fields stood, and the rules it was planned under */
    definition: z.unknown(),
    rules: z.unknown(),
    facts: ReleasedFacts,
    /** what it took over from the release before it, and what changed; null for a first one */
    since: SinceRelease.nullable().default(null)
  }),
  holes: z.array(RecordedHole),
  order: z.array(z.number().int()),
  driving: z.array(event(DriveMove, DriveFrozen)),
  batches: z.array(
    z.strictObject({
      id: z.string(),
      partNumber: z.string(),
      lot: z.string(),
      count: z.number(),
      removedAt: z.string(),
      /** the shop's own times out of the icebox; null: the guidance's */
      times: BatchTimes.nullable().default(null)
    })
  ),
  settings: z.array(
    z.strictObject({
      id: z.string(),
      tool: z.string(),
      part: z.string().nullable(),
      begunAt: z.string(),
      by: z.string(),
      found: FoundTool.nullable(),
      firstHeads: z.array(z.looseObject({ at: z.string(), by: z.string(), verdict: z.string() })),
      released: z.boolean()
    })
  ),
  heads: z.array(event(HoleLook, HeadJudged)),
  rework: z.array(event(ReworkMove, ReworkFrozen)),
  /** found in service on this joint, beside every release; left out where nothing was */
  oldWork: z.array(event(OldWorkMove, z.null())).optional(),
  steps: z.strictObject({ done: z.number().int(), of: z.number().int() }).nullable(),
  /** what whoever signs was told */
  told: z.array(Told),
  /** null while nobody has signed */
  signature: z
    .strictObject({
      by: z.string(),
      person: z.string(),
      at: z.string(),
      entitled: z.string(),
      accepted: z.array(z.string())
    })
    .nullable()
});
/** Everything that is known of one release, as it is signed; lengths in inches. */
export type JointRecord = z.output<typeof JointRecord>;

/** Why looks of a record were voided, by their ids. */
export const voidedLooks = (rework: JointRecord['rework']): Map<string, string> =>
  new Map(
    rework.flatMap(({ move }) =>
      move.kind === 'voided-look' ? [[move.look, move.why] as const] : []
    )
  );

export const Seal = z.strictObject({
  /** how the digests are made */
  method: z.literal('SHA-256 of RFC 8785 canonical JSON'),
  /** of the whole record */
  digest: z.string().regex(/^[0-9a-f]{64}$/),
  /** of each part of it, so that a change is found where it is: `heads.3` is the fourth entry of `heads` */
  parts: z.record(z.string(), z.string().regex(/^[0-9a-f]{64}$/))
});
export type Seal = z.output<typeof Seal>;

/** A record as a file: the record, and the seal that it is held against. */
export const SealedRecord = z.strictObject({ record: JointRecord, seal: Seal });
export type SealedRecord = z.output<typeof SealedRecord>;
