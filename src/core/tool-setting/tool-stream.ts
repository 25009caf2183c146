import { z } from 'zod';
import { notPossible, type Answer } from '../answer.ts';
import { heldAgainst } from '../check/at-its-limit.ts';
import { drivenHead } from '../check/driven-head.ts';
import type { Verdict } from '../check/findings.ts';
import { defineStream, MOVE_STAMP, type Recorded } from '../events/stream.ts';
import { lengthIn } from '../schema/fields.ts';
import { above } from '../units/tolerance.ts';
import { diesGuide, type DimpleTrial } from './dies-guide.ts';
import { gunGuide, WOOD, type GunTrial } from './gun-guide.ts';
import { headBand } from './head-band.ts';
import { squeezerGuide, type SqueezeTrial } from './squeezer-guide.ts';
import type { ToolSetup } from './tool-setup.ts';

const why = z
  .string()
  .trim()
  .min(1, 'say why in a few words')
  .max(120, 'a reason is at most 120 characters');
const MOST_DIVISIONS = 2000;
const divisions = z
  .int('divisions are whole')
  .min(-MOST_DIVISIONS, `at least ${-MOST_DIVISIONS} divisions`)
  .max(MOST_DIVISIONS, `at most ${MOST_DIVISIONS} divisions`);
const MOST_PSI = 150;
const LONGEST_BURST_S = 20;
export const HeadHeight = lengthIn('the head’s height', { above: 0, most: 1 });
export const HeadWidth = lengthIn('the head’s diameter', { above: 0, most: 2 });
export const Seconds = z
  .number('a burst is a number of seconds')
  .positive('a burst takes some time')
  .max(LONGEST_BURST_S, `a burst is at most ${LONGEST_BURST_S} s`);
export const AirPsi = z
  .number('the air is a number of psi')
  .positive('the air is more than nothing')
  .max(MOST_PSI, `at most ${MOST_PSI} psi`);

/** What one trial was: of a squeezer, of a gun on wood or on a rivet, of dies. */
const Trial = z.discriminatedUnion('what', [
  z.strictObject({
    what: z.literal('squeeze'),
    divisions,
    read: z.discriminatedUnion('by', [
      z.strictObject({ by: z.literal('caliper'), heightIn: HeadHeight }),
      z.strictObject({ by: z.literal('plate'), fitsOver: z.boolean(), touchesSheet: z.boolean() })
    ]),
    /** a rivet that was not squeezed before */
    fresh: z.boolean()
  }),
  z.strictObject({ what: z.literal('wood'), airPsi: AirPsi, wood: z.enum(WOOD) }),
  z.strictObject({
    what: z.literal('burst'),
    seconds: Seconds,
    heightIn: HeadHeight,
    fresh: z.boolean()
  }),
  z.strictObject({
    what: z.literal('dimple'),
    divisions,
    cracks: z.boolean(),
    ring: z.boolean(),
    nests: z.boolean()
  })
]);
export type ToolTrial = z.output<typeof Trial>;

/** What came out at the setting: a head measured, or a dimple looked at. */
const Made = z.discriminatedUnion('what', [
  z.strictObject({
    what: z.literal('head'),
    diameterIn: HeadWidth,
    heightIn: HeadHeight,
    /** how long it took; null where it was squeezed */
    seconds: Seconds.nullable()
  }),
  z.strictObject({
    what: z.literal('dimple'),
    cracks: z.boolean(),
    ring: z.boolean(),
    nests: z.boolean()
  })
]);
export type Made = z.output<typeof Made>;

export const ToolMove = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('trial'), ...MOVE_STAMP, trial: Trial }),
  z.strictObject({ kind: z.literal('struck'), ...MOVE_STAMP, trial: z.uuid(), why }),
  z.strictObject({ kind: z.literal('kept'), ...MOVE_STAMP }),
  /** one of the first, or a look later on */
  z.strictObject({
    kind: z.literal('made'),
    ...MOVE_STAMP,
    made: Made,
    /** of the stack it was made in; null: that of the setting */
    gripIn: lengthIn('the grip', { above: 0, most: 4 }).nullable().default(null),
    /** the lot that its rivet is of; empty where nobody said */
    lot: z.string().trim().max(60).default('')
  }),
  z.strictObject({ kind: z.literal('withdrawn'), ...MOVE_STAMP, why })
]);
/** What a page sends while a tool is set and used. A repeat is stored once by its id. */
export type ToolMove = z.output<typeof ToolMove>;

/** What was found when the trials were done; frozen then. */
export const FoundTool = z.discriminatedUnion('tool', [
  z.strictObject({ tool: z.literal('squeezer'), divisions: z.int(), slopeIn: z.number() }),
  z.strictObject({ tool: z.literal('gun'), airPsi: z.number(), seconds: z.number() }),
  z.strictObject({ tool: z.literal('dies'), divisions: z.int() })
]);
export type FoundTool = z.output<typeof FoundTool>;
export type ToolEvent = Recorded<ToolMove, FoundTool | null>;

/** A head or dimple made at the setting, judged. */
export interface MadeOne {
  id: string;
  made: Made;
  verdict: Verdict;
  /** plainly: one that passes on a condition is no start of a row */
  good: boolean;
  gripIn: number | null;
  lot: string;
  at: string;
  by: string;
}

/** Where the setting of a tool stands. */
export interface ToolState {
  trials: { id: string; trial: ToolTrial; at: string; by: string; struck: string | null }[];
  found: (FoundTool & { at: string; by: string }) | null;
  /** in the order made: the first ones release it, each later one is a look */
  made: MadeOne[];
  withdrawn: { why: string; at: string; by: string } | null;
}

export const UNTRIED: ToolState = { trials: [], found: null, made: [], withdrawn: null };

/** So many good ones in the beginning release a setting for the row. */
export const FIRST_TO_BE_GOOD = 3;

/** Trials that count, as each guide takes them. */
export const squeezes = (state: ToolState): SqueezeTrial[] =>
  state.trials.flatMap(({ id, trial, struck }) =>
    struck === null && trial.what === 'squeeze' ? [{ id, ...trial }] : []
  );
export const bursts = (state: ToolState): GunTrial[] =>
  state.trials.flatMap(({ id, trial, struck }): GunTrial[] =>
    struck !== null
      ? []
      : trial.what === 'wood'
        ? [{ id, on: 'wood', airPsi: trial.airPsi, wood: trial.wood }]
        : trial.what === 'burst'
          ? [{ id, on: 'rivet', ...trial }]
          : []
  );
export const dimples = (state: ToolState): DimpleTrial[] =>
  state.trials.flatMap(({ id, trial, struck }) =>
    struck === null && trial.what === 'dimple' ? [{ id, ...trial }] : []
  );

/** How a head or dimple is judged; a cracked or ringed dimple is damaged metal. */
function judged(setup: ToolSetup, made: Made): Pick<MadeOne, 'verdict' | 'good'> {
  const plain = (verdict: Verdict) => ({ verdict, good: verdict === 'accept' });
  if (made.what === 'dimple')
    return plain(made.cracks || made.ring ? 'refer' : made.nests ? 'accept' : 'drive-more');
  if (setup.tool === 'dies') return plain('refer');
  const { dash, limits } = setup;
  const { diameterIn, heightIn } = made;
  const head = drivenHead({
    ...heldAgainst({ dash, limits, diameterIn, heightIn }),
    flags: []
  });
  if (!head.ok) return plain('refer');
  const { verdict, findings } = head.result;
  return { verdict, good: verdict === 'accept' && findings.length === 0 };
}

/** Projects the events of a setting, as they happened; `from` is the state before them. */
function toolState(
  setup: ToolSetup,
  events: readonly ToolEvent[],
  from: ToolState = UNTRIED
): ToolState {
  const state: ToolState = {
    ...from,
    trials: from.trials.map((trial) => ({ ...trial })),
    made: [...from.made]
  };
  for (const event of events) {
    const { id, at, by } = event;
    if (event.kind === 'trial') state.trials.push({ id, trial: event.trial, at, by, struck: null });
    else if (event.kind === 'kept' && event.frozen) state.found = { ...event.frozen, at, by };
    else if (event.kind === 'withdrawn') state.withdrawn = { why: event.why, at, by };
    else if (event.kind === 'made')
      state.made.push({
        id,
        made: event.made,
        ...judged(setup, event.made),
        gripIn: event.gripIn,
        lot: event.lot,
        at,
        by
      });
  }
  // by whichever clock it was struck
  for (const event of events)
    if (event.kind === 'struck') {
      const struck = state.trials.find((trial) => trial.id === event.trial);
      if (struck) struck.struck = event.why;
    }
  return state;
}

const BELONGS: Record<ToolTrial['what'], ToolSetup['tool']> = {
  squeeze: 'squeezer',
  wood: 'gun',
  burst: 'gun',
  dimple: 'dies'
};
/** The head cannot stand higher than the rivet did; lengths of rivets vary by so much. */
const LONGER_RIVET_IN = 0.015;
const NOTHING: Answer<null> = { ok: true, result: null, work: [] };

/** A height over what stood out before driving is a slipped figure. */
function possibleHeight(
  setup: ToolSetup,
  heightIn: number,
  gripIn: number | null = null
): Answer<null> {
  if (setup.tool === 'dies') return NOTHING;
  const band = headBand(gripIn === null ? setup : { ...setup, gripIn });
  if (!band.ok) return band;
  const { freeIn } = band.result;
  return above(heightIn, freeIn + LONGER_RIVET_IN)
    ? notPossible('heightIn', { code: 'head-over-free-end', heightIn, freeIn })
    : NOTHING;
}

function followTrial(setup: ToolSetup, state: ToolState, trial: ToolTrial): Answer<null> {
  if (state.found) return notPossible('kind', { code: 'tool-is-set' });
  if (BELONGS[trial.what] !== setup.tool) return notPossible('trial', { code: 'not-this-tool' });
  if (trial.what === 'squeeze') {
    const before = squeezes(state).at(-1);
    if (before && trial.divisions < before.divisions && !trial.fresh)
      return notPossible('fresh', { code: 'fresh-rivet-first' });
    return trial.read.by === 'caliper' ? possibleHeight(setup, trial.read.heightIn) : NOTHING;
  }
  if (trial.what === 'burst' && setup.tool === 'gun') {
    const guide = gunGuide(setup, bursts(state));
    if (!guide.ok) return guide;
    if (guide.result.airPsi === null) return notPossible('trial', { code: 'wood-first' });
    const { state: said } = guide.result.said;
    if (said === 'over-driven' && !trial.fresh)
      return notPossible('fresh', { code: 'fresh-rivet-first' });
    return possibleHeight(setup, trial.heightIn);
  }
  return NOTHING;
}

/** What the trials have found; a refusal where they are not done. */
function foundBy(setup: ToolSetup, state: ToolState): Answer<FoundTool> {
  const notDone = notPossible('kind', { code: 'readings-not-done', here: null });
  if (setup.tool === 'squeezer') {
    const guide = squeezerGuide(setup, squeezes(state));
    if (!guide.ok) return guide;
    const { said, line, work } = guide.result;
    return said.state === 'done' && line
      ? {
          ok: true,
          result: { tool: 'squeezer', divisions: said.divisions, slopeIn: line.slopeIn },
          work
        }
      : notDone;
  }
  if (setup.tool === 'gun') {
    const guide = gunGuide(setup, bursts(state));
    if (!guide.ok) return guide;
    const { said, work } = guide.result;
    return said.state === 'done'
      ? { ok: true, result: { tool: 'gun', airPsi: said.airPsi, seconds: said.seconds }, work }
      : notDone;
  }
  const { said } = diesGuide(setup, dimples(state));
  return said.state === 'done'
    ? { ok: true, result: { tool: 'dies', divisions: said.divisions }, work: [] }
    : notDone;
}

/** The trials of one setting of a tool, the first heads made with it, and every look after them. */
export const toolStream = defineStream<ToolSetup, ToolMove, FoundTool | null, ToolState>({
  name: 'tool',
  Move: ToolMove,
  Frozen: FoundTool.nullable(),
  follow(setup, state, move): Answer<FoundTool | null> {
    if (state.withdrawn) return notPossible('kind', { code: 'setting-withdrawn' });
    switch (move.kind) {
      case 'withdrawn':
        return NOTHING;
      case 'trial':
        return followTrial(setup, state, move.trial);
      case 'struck':
        if (state.found) return notPossible('kind', { code: 'tool-is-set' });
        return state.trials.some(({ id, struck }) => id === move.trial && struck === null)
          ? NOTHING
          : notPossible('trial', { code: 'no-such-reading' });
      case 'kept':
        return state.found ? notPossible('kind', { code: 'tool-is-set' }) : foundBy(setup, state);
      case 'made':
        if (!state.found) return notPossible('kind', { code: 'tool-not-set' });
        if ((move.made.what === 'dimple') !== (setup.tool === 'dies'))
          return notPossible('made', { code: 'not-this-tool' });
        return move.made.what === 'head'
          ? possibleHeight(setup, move.made.heightIn, move.gripIn)
          : NOTHING;
    }
  },
  project: toolState
});
