import { z } from 'zod';
import { notPossible, type Answer } from '../../answer.ts';
import { MOVE_STAMP, type Recorded } from '../../events/stream.ts';
import {
  countedOf,
  trialStream,
  Why,
  type TrialMove,
  type TrialState
} from '../../trial-setting/trial-stream.ts';
import { above, below } from '../../units/tolerance.ts';
import { cageGuide } from './guide.ts';
import { NestSetting } from './nest-setting.ts';
import { flushBand, type CageSetup } from './setup.ts';
import { Clicks, Flushness, type TrialReading } from './trials.ts';

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
  z.strictObject({ kind: z.literal('struck'), ...MOVE_STAMP, reading: z.uuid(), why: Why }),
  z.strictObject({ kind: z.literal('finished'), ...MOVE_STAMP, afterHoles }),
  z.strictObject({
    kind: z.literal('recheck'),
    ...MOVE_STAMP,
    afterHoles,
    flushnessIn: Flushness,
    from
  }),
  z.strictObject({ kind: z.literal('withdrawn'), ...MOVE_STAMP, why: Why })
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

/** One trial hole, and how its reading was come by. */
type CageTrial = Omit<TrialReading, 'id'> & { from: ReadingFrom };

/** One re-check while working, against the limits. */
export interface Recheck {
  afterHoles: number;
  /** without film, in */
  flushIn: number;
  verdict: 'good' | 'too-deep' | 'proud';
  good: boolean;
}

/** Where a setting of a cage stands. */
export type SettingState = TrialState<CageTrial, FoundSetting, Recheck>;

/** Some of it was cut at the simulated bench: it says nothing about the real cage. */
export const isPractice = ({ trials }: Pick<SettingState, 'trials'>): boolean =>
  trials.some(({ from }) => from === 'simulated');

/**
 * Whether holes beneath a dimple may be cut by a setting: by geometry alone it is not tried, until a dimpled scrap sat flush in such
 * a cut.
 */
export const isNestTried = ({ found, looks }: Pick<SettingState, 'found' | 'looks'>): boolean =>
  !found?.nest || looks.some(({ good }) => good);

type Kept = Pick<CageMove & { kind: 'finished' }, 'afterHoles'>;
type Made = Pick<CageMove & { kind: 'recheck' }, 'afterHoles' | 'flushnessIn'>;

function told(move: CageMove): TrialMove<CageTrial, Kept, Made> {
  switch (move.kind) {
    case 'reading': {
      const { clicks, flushnessIn, from, cameUp, ring } = move;
      return { does: 'try', trial: { clicks, flushnessIn, from, cameUp, ring } };
    }
    case 'struck':
      return { does: 'strike', trial: move.reading, why: move.why };
    case 'finished':
      return { does: 'keep', kept: move };
    case 'recheck':
      return { does: 'look', made: move };
    case 'withdrawn':
      return { does: 'withdraw', why: move.why };
  }
}

/** Three holes that agree within the limits, with the nest where one is wanted. */
function found(setup: CageSetup, state: SettingState, { afterHoles }: Kept): Answer<FoundSetting> {
  const guide = cageGuide(setup, countedOf(state));
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
      afterHoles
    },
    work: guide.work
  };
}

const NOTHING: Answer<null> = { ok: true, result: null, work: [] };

/** The trials, the finish and the re-checks of one setting of a cage. */
export const cageStream = trialStream<
  CageSetup,
  CageMove,
  CageTrial,
  Kept,
  FoundSetting,
  Made,
  Recheck
>({
  name: 'cage',
  Move: CageMove,
  Found: FoundSetting,
  told,
  mayTry: () => NOTHING,
  found,
  mayLook(_, state, { afterHoles }) {
    const last = state.looks.at(-1)?.afterHoles ?? state.found?.afterHoles ?? 0;
    return afterHoles < last
      ? notPossible('afterHoles', { code: 'recheck-backwards', last, after: afterHoles })
      : NOTHING;
  },
  judged(setup, { afterHoles, flushnessIn }) {
    const band = flushBand(setup);
    if (!band.ok) return null;
    const { lowIn, highIn } = band.result;
    const verdict = below(flushnessIn, lowIn)
      ? 'too-deep'
      : above(flushnessIn, highIn)
        ? 'proud'
        : 'good';
    return { afterHoles, flushIn: flushnessIn, verdict, good: verdict === 'good' };
  }
});
