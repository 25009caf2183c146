import { z } from 'zod';
import { notPossible, type Answer } from '../../answer.ts';
import { defineStream, MOVE_STAMP, type Recorded } from '../../events/stream.ts';
import { above, below } from '../../units/tolerance.ts';
import { cageGuide } from './guide.ts';
import { NestSetting } from './nest-setting.ts';
import { flushBand, type CageSetup } from './setup.ts';
import { Clicks, Flushness, type TrialReading } from './trials.ts';

const why = z
  .string()
  .trim()
  .min(1, 'say why in a few words')
  .max(120, 'a reason is at most 120 characters');
/** Typed by hand, sent by a depth gauge, or made up by the simulated one. */
const from = z.enum(['typed', 'gauge', 'simulated']);
export type ReadingFrom = z.output<typeof from>;
const MOST_HOLES_BETWEEN = 100_000;

/** holes of the work that were cut by then */
const afterHoles = z
  .int('holes are counted whole')
  .min(0, 'holes are counted from 0')
  .max(MOST_HOLES_BETWEEN);

export const CageMove = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('reading'),
    ...MOVE_STAMP,
    clicks: Clicks,
    flushnessIn: Flushness,
    from,
    cameUp: z.boolean(),
    ring: z.boolean()
  }),
  z.strictObject({ kind: z.literal('struck'), ...MOVE_STAMP, reading: z.uuid(), why }),
  z.strictObject({ kind: z.literal('finished'), ...MOVE_STAMP, afterHoles }),
  z.strictObject({
    kind: z.literal('recheck'),
    ...MOVE_STAMP,
    afterHoles,
    flushnessIn: Flushness,
    from
  }),
  z.strictObject({ kind: z.literal('withdrawn'), ...MOVE_STAMP, why })
]);
/** What a page sends while a cage is set and used. A repeat is stored once by its id. */
export type CageMove = z.output<typeof CageMove>;

export const FoundSetting = z.strictObject({
  clicks: z.int(),
  deepestIn: z.number(),
  proudestIn: z.number(),
  holes: z.int(),
  slopePerClickIn: z.number(),
  confidence: z.enum(['assumed', 'measured']),
  nest: NestSetting.nullable(),
  /** holes of the work cut before it */
  afterHoles: z.int()
});
/** What was found when a setting was finished; frozen then. Lengths in inches. */
export type FoundSetting = z.output<typeof FoundSetting>;

/** A stored event of one setting; what was found is frozen with the one that finished it. */
export type CageEvent = Recorded<CageMove, FoundSetting | null>;

/** One re-check while working, against the limits. */
export interface Recheck {
  id: string;
  at: string;
  by: string;
  afterHoles: number;
  /** without film, in */
  flushIn: number;
  verdict: 'good' | 'too-deep' | 'proud';
}

/** Where a setting of a cage stands. */
export interface SettingState {
  /** every hole cut for it, in order */
  readings: (TrialReading & {
    at: string;
    by: string;
    from: ReadingFrom;
    struck: string | null;
  })[];
  /** those that count */
  counted: TrialReading[];
  found: (FoundSetting & { at: string; by: string }) | null;
  rechecks: Recheck[];
  withdrawn: { why: string; at: string; by: string } | null;
  /** some of it was cut at the simulated bench: it says nothing about the real cage */
  practice: boolean;
}

/**
 * Whether holes beneath a dimple may be cut by a setting: by geometry alone it is not tried, until a dimpled scrap sat flush in such
 * a cut.
 */
export const isNestTried = ({
  found,
  rechecks
}: Pick<SettingState, 'found' | 'rechecks'>): boolean =>
  !found?.nest || rechecks.some(({ verdict }) => verdict === 'good');

const UNTRIED: SettingState = {
  readings: [],
  counted: [],
  found: null,
  rechecks: [],
  withdrawn: null,
  practice: false
};

/** Projects the events of a setting, as they happened; `from` is the state before them. */
function settingState(
  setup: CageSetup,
  events: readonly CageEvent[],
  from: SettingState = UNTRIED
): SettingState {
  const state: SettingState = {
    ...from,
    readings: from.readings.map((reading) => ({ ...reading })),
    rechecks: [...from.rechecks]
  };
  const band = flushBand(setup);
  for (const event of events) {
    const { id, at, by } = event;
    if (event.kind === 'reading') state.readings.push({ ...event, struck: null });
    else if (event.kind === 'finished' && event.frozen) state.found = { ...event.frozen, at, by };
    else if (event.kind === 'withdrawn') state.withdrawn = { why: event.why, at, by };
    else if (event.kind === 'recheck' && band.ok) {
      const { lowIn, highIn } = band.result;
      state.rechecks.push({
        id,
        at,
        by,
        afterHoles: event.afterHoles,
        flushIn: event.flushnessIn,
        verdict: below(event.flushnessIn, lowIn)
          ? 'too-deep'
          : above(event.flushnessIn, highIn)
            ? 'proud'
            : 'good'
      });
    }
  }
  // by whichever clock it was struck
  for (const event of events)
    if (event.kind === 'struck') {
      const struck = state.readings.find((reading) => reading.id === event.reading);
      if (struck) struck.struck = event.why;
    }
  state.counted = state.readings.filter(({ struck }) => struck === null);
  state.practice = state.readings.some((reading) => reading.from === 'simulated');
  return state;
}

/**
 * Whether an event may follow on the others, and what is frozen with it.
 *
 * @returns what a finished setting found, null for any other event; `not-possible` with the reason
 */
function follow(
  setup: CageSetup,
  state: SettingState,
  move: CageMove
): Answer<FoundSetting | null> {
  const nothing: Answer<null> = { ok: true, result: null, work: [] };
  if (state.withdrawn) return notPossible('kind', { code: 'setting-withdrawn' });
  if (move.kind === 'withdrawn') return nothing;
  if (move.kind === 'recheck') {
    if (!state.found) return notPossible('kind', { code: 'cage-not-set' });
    const last = state.rechecks.at(-1)?.afterHoles ?? state.found.afterHoles;
    return move.afterHoles < last
      ? notPossible('afterHoles', { code: 'recheck-backwards', last, after: move.afterHoles })
      : nothing;
  }
  if (state.found) return notPossible('kind', { code: 'cage-is-set' });
  if (move.kind === 'reading') return nothing;
  if (move.kind === 'struck')
    return state.counted.some(({ id }) => id === move.reading)
      ? nothing
      : notPossible('reading', { code: 'no-such-reading' });
  const guide = cageGuide(setup, state.counted);
  if (!guide.ok) return guide;
  const { said, groups, line, nest } = guide.result;
  const here = groups.at(-1);
  if (said.state !== 'set' || !here || !line)
    return notPossible('kind', {
      code: 'readings-not-done',
      here: said.state === 'more-holes' ? said : null
    });
  if (nest && !nest.ok) return nest;
  return {
    ok: true,
    result: {
      clicks: here.clicks,
      deepestIn: here.deepestIn,
      proudestIn: here.proudestIn,
      holes: here.readings.length,
      slopePerClickIn: line.slopePerClickIn,
      confidence: line.confidence,
      nest: nest?.result ?? null,
      afterHoles: move.afterHoles
    },
    work: guide.work
  };
}

/** The trials, the finish and the re-checks of one setting of a cage. */
export const cageStream = defineStream<CageSetup, CageMove, FoundSetting | null, SettingState>({
  name: 'cage',
  Move: CageMove,
  Frozen: FoundSetting.nullable(),
  follow,
  project: settingState
});
