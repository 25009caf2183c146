import type { HoleEvent } from '../inspect/hole-events.ts';
import type { DriveEvent } from '../driving/drive-events.ts';
import type { ColdBatchFacts } from '../driving/cold-of.ts';
import { rivetOfHole } from '../driving/rivet-of-hole.ts';
import { rivetRuns } from '../driving/rivet-runs.ts';
import type { Recorded, Stamped } from '../events/stream.ts';
import type { Release } from '../release/release.ts';
import type { OldWorkEvent } from '../old-work/old-work-stream.ts';
import type { ReleaseNow } from '../releases/release-now.ts';
import type { SinceRelease } from '../releases/since-release.ts';
import { blindOnRecord } from '../reworking/blind-rivets.ts';
import type { ReworkEvent } from '../reworking/rework-subject.ts';
import { isTrustedTool } from '../tool-setting/tool-status.ts';
import { FoundTool, type ToolState } from '../tool-setting/tool-moves.ts';
import type { ToolSetup } from '../tool-setting/tool-setup.ts';
import type { Told } from './told.ts';
import type { JointRecord } from './record.ts';
import type { SignEvent } from './sign-events.ts';

/** A setting of a tool that was begun for a joint. */
export interface RecordedSetting {
  id: string;
  setup: ToolSetup;
  /** the run that it is for, by its key; null for none */
  run: string | null;
  begunAt: string;
  by: string;
  state: ToolState;
}

/** What a record is made of. */
export interface RecordMatter {
  joint: JointRecord['joint'];
  /** as released, as it stands, and what was logged of it */
  opened: Pick<ReleaseNow, 'release' | 'rework' | 'order'> & {
    asReleased: Release;
    definition: unknown;
    rules: unknown;
    since: SinceRelease | null;
    batches: readonly ColdBatchFacts[];
    driving: readonly DriveEvent[];
    heads: readonly HoleEvent[];
    reworks: readonly ReworkEvent[];
  };
  settings: readonly RecordedSetting[];
  oldWork: readonly OldWorkEvent[];
  steps: JointRecord['steps'];
  told: readonly Told[];
  signed: SignEvent | null;
}

/** A move with who made it, as the record carries it. */
const carried = <Move extends Stamped, Frozen>(event: Recorded<Move, Frozen>) => {
  const { by, sentBy, frozen, ...move } = event;
  const sent = sentBy === undefined ? {} : { sentBy };
  return { by, ...sent, move: move as unknown as Move, frozen };
};

/** What was found, without who found it: that stands beside it. */
function foundOf(found: ToolState['found']): FoundTool | null {
  if (found === null) return null;
  const rest: Record<string, unknown> = { ...found };
  delete rest['at'];
  delete rest['by'];
  return FoundTool.parse(rest);
}

/** What is in each hole now, by its number. */
const holesOf = ({ release, rework }: RecordMatter['opened']): JointRecord['holes'] =>
  [
    ...release.holes.map((hole) => {
      const { number, row, xIn, yIn, markIn, dash, room } = hole;
      const { partNumber, gripIn, lengthIn, holeIn } = rivetOfHole(release.facts, hole);
      const place = { number, row, xIn, yIn, markIn, dash, room };
      return { ...place, partNumber, gripIn, lengthIn, holeIn, heldOpen: '' };
    }),
    ...release.heldOpen.map((hole) => {
      const { number, row, xIn, yIn, markIn, dash, room, gripIn, reason } = hole;
      return {
        ...{ number, row, xIn, yIn, markIn, dash, room, gripIn },
        partNumber: null,
        lengthIn: null,
        holeIn: null,
        heldOpen: reason === '' ? 'held open' : reason,
        ...(hole.blind
          ? { blind: blindOnRecord(hole.blind, rework.blinds.get(number), release.facts) }
          : {})
      };
    })
  ].sort((a, b) => a.number - b.number);

/**
 * The record of a release, as it is sealed and signed.
 *
 * @returns lengths in inches
 * @source record
 */
export function recordOf(matter: RecordMatter): JointRecord {
  const { joint, opened, settings, oldWork, steps, told, signed } = matter;
  const { asReleased, release, definition, rules, since, batches, driving, heads, reworks } =
    opened;
  const runs = rivetRuns(release);
  const { id, number, revision, issuedAt, issuedBy, facts } = asReleased;
  return {
    format: 'zanjador-record',
    version: 1,
    joint,
    release: { id, number, revision, issuedAt, issuedBy, definition, rules, facts, since },
    holes: holesOf(opened),
    order: [...opened.order],
    driving: driving.map(carried),
    batches: [...batches],
    settings: settings.map(({ id: setting, setup, run, begunAt, by, state }) => ({
      id: setting,
      tool: setup.name,
      part: runs.find(({ key }) => key === run)?.partNumber ?? run,
      begunAt,
      by,
      found: foundOf(state.found),
      firstHeads: state.looks.map((made) => ({ ...made })),
      released: isTrustedTool(state)
    })),
    heads: heads.map(carried),
    rework: reworks.map(carried),
    ...(oldWork.length > 0 ? { oldWork: oldWork.map(carried) } : {}),
    steps,
    told: [...told],
    signature: signed && {
      by: signed.by,
      person: signed.person,
      at: signed.at,
      entitled: signed.entitled,
      accepted: signed.accepted
    }
  };
}
