import { workLine, type Answer, type WorkLine } from '../answer.ts';
import { HEAD_LIMITS, WIDEST_LONG_HEAD_D } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { squeezerNext, type SqueezerNextResult } from '../drive/squeezer-next.ts';
import { by, cubic, len } from '../notation.ts';
import { atLeast, atMost, below, ceilTo, floorTo } from '../units/tolerance.ts';
import { headBand, type HeadBand } from './head-band.ts';
import type { SqueezerSetup } from './tool-setup.ts';

/** What one squeeze left, by caliper or by the gauge plate of 1.3 D and 0.38 D. */
export type HeadRead =
  { by: 'caliper'; heightIn: number } | { by: 'plate'; fitsOver: boolean; touchesSheet: boolean };

export interface SqueezeTrial {
  id: string;
  /** closed from the mark one counts from */
  divisions: number;
  read: HeadRead;
}

/** What to do next with a squeezer, as a code with its quantities; lengths in inches. */
export type SqueezerSaid =
  | { state: 'first'; rememberedDivisions: number | null; openedBy: number | null }
  | { state: 'closer'; divisions: number; change: number; nowIn: number; predictedIn: number }
  | { state: 'measure'; leastIn: number; mostIn: number }
  | { state: 'short-of-metal' }
  | { state: 'stuck'; divisions: number; wouldReachIn: number }
  /** `nowIn` of the lowest head; a plate tells only that it is no higher */
  | { state: 'over-driven'; closedAt: number; openTo: number; nowIn: number; leastIn: number }
  | { state: 'done'; divisions: number; leastIn: number; mostIn: number };

export interface SqueezerGuide {
  said: SqueezerSaid;
  band: HeadBand;
  /** trials with the heights between which their heads are */
  read: (SqueezeTrial & { leastIn: number; mostIn: number })[];
  /** where to set it next; null before the first trial and where something else comes first */
  nextDivisions: number | null;
  predictedIn: number | null;
  /** heights over divisions, as measured or by the thread; null before the first trial */
  line: {
    at: number;
    heightIn: number;
    slopeIn: number;
    confidence: 'assumed' | 'measured';
  } | null;
  work: WorkLine[];
}

/** Heights between which a head is, by metal that stays what it is and by what the plate tells. */
function readBetween(read: HeadRead, { dash }: SqueezerSetup, band: HeadBand) {
  if (read.by === 'caliper') return { leastIn: read.heightIn, mostIn: read.heightIn, work: [] };
  const D = rivetSize(dash).diameterIn;
  const { diameterD, heightD } = HEAD_LIMITS.standard;
  const holeIn = diameterD.low * D;
  const notchIn = heightD.low * D;
  /** a head as wide as the plate’s hole is as high as this */
  const atHoleIn = (4 * band.volumeIn3) / (Math.PI * holeIn ** 2);
  /** nothing flatter is still a head */
  const flattestIn = (4 * band.volumeIn3) / (Math.PI * (WIDEST_LONG_HEAD_D * D) ** 2);
  const work = [
    workLine(
      'as high as a head as wide as the plate’s hole',
      by`4·V / (π·${len(holeIn)}²) = 4 × ${cubic(band.volumeIn3)} / (π × ${len(holeIn)}²)`,
      atHoleIn,
      'in'
    )
  ];
  return {
    leastIn: read.touchesSheet
      ? Math.min(notchIn, read.fitsOver ? atHoleIn : flattestIn)
      : read.fitsOver
        ? Math.max(notchIn, atHoleIn)
        : notchIn,
    mostIn: read.touchesSheet ? notchIn : read.fitsOver ? band.freeIn : Math.max(notchIn, atHoleIn),
    work
  };
}

/** It is known to be too low: a plate that rests on the sheet says so, one that does not leaves it open. */
const isLow = (read: HeadRead, { lowIn }: HeadBand): boolean =>
  read.by === 'plate' ? read.touchesSheet : below(read.heightIn, lowIn);

/** A tool that springs back opens the head by less than it was turned, but never by less than half. */
const LEAST_SHARE = 0.5;

/**
 * The next step of setting a squeezer by trial, always from the open side.
 *
 * A plate tells no height, only between which it is: the lowest that it can be decides how far one may close.
 *
 * @param trials squeezes in order, struck ones left out
 * @param remembered where to begin from; null where nothing like it was set before
 * @returns `not-possible` where this rivet makes no good head in this grip
 * @throws never
 * @source drive; calculation `squeezer-next`
 */
export function squeezerGuide(
  setup: SqueezerSetup,
  trials: readonly SqueezeTrial[],
  remembered: { divisions: number; openedBy: number } | null = null
): Answer<SqueezerGuide> {
  const limits = headBand(setup);
  if (!limits.ok) return limits;
  const band = limits.result;
  const between = trials.map((trial) => ({ trial, ...readBetween(trial.read, setup, band) }));
  const read = between.map(({ trial, leastIn, mostIn }) => ({ ...trial, leastIn, mostIn }));
  const last = between.at(-1);
  if (!last) {
    const said: SqueezerSaid = {
      state: 'first',
      rememberedDivisions: remembered?.divisions ?? null,
      openedBy: remembered?.openedBy ?? null
    };
    return told(said, {
      band,
      read,
      nextDivisions: remembered?.divisions ?? null,
      predictedIn: null,
      line: null,
      work: band.work
    });
  }
  const { turnIn, divisionsPerTurn } = setup;
  const next = squeezerNext({
    targetIn: band.targetIn,
    limits: { lowIn: band.lowIn, highIn: band.highIn },
    turnIn,
    divisionsPerTurn,
    trials: between
      .filter(
        (one) => one === last || isLow(one.trial.read, band) || atLeast(one.leastIn, band.lowIn)
      )
      .map(({ trial, leastIn }) => ({ divisions: trial.divisions, heightIn: leastIn }))
  });
  if (!next.ok) return next;
  const { heightPerDivisionIn: slopeIn, confidence } = next.result;
  const { divisions } = last.trial;
  const said = tell(last.trial, last, next.result, setup, band, read);
  const nextDivisions =
    said.state === 'closer' || said.state === 'done'
      ? said.divisions
      : said.state === 'over-driven'
        ? said.openTo
        : null;
  return told(said, {
    band,
    read,
    nextDivisions,
    predictedIn: said.state === 'closer' ? said.predictedIn : null,
    line: { at: divisions, heightIn: last.leastIn, slopeIn, confidence },
    work: [...band.work, ...last.work, ...next.work, ...openWork(said, setup, band)]
  });
}

const told = (said: SqueezerSaid, guide: Omit<SqueezerGuide, 'said'>): Answer<SqueezerGuide> => ({
  ok: true,
  result: { said, ...guide },
  work: guide.work
});

function tell(
  { divisions, read }: SqueezeTrial,
  { leastIn, mostIn }: { leastIn: number; mostIn: number },
  next: SqueezerNextResult,
  setup: SqueezerSetup,
  band: HeadBand,
  all: SqueezerGuide['read']
): SqueezerSaid {
  if (read.by === 'plate' && read.fitsOver && read.touchesSheet) return { state: 'short-of-metal' };
  const overDriven = read.by === 'plate' ? read.touchesSheet : next.overDriven;
  if (overDriven) {
    const low = all.filter((one) => isLow(one.read, band));
    const closedAt = Math.min(divisions, ...low.map((one) => one.divisions));
    const lowestIn = Math.min(leastIn, ...low.map((one) => one.leastIn));
    return {
      state: 'over-driven',
      closedAt,
      openTo: closedAt - openingFor(band.targetIn - lowestIn, setup),
      nowIn: Math.min(mostIn, ...low.map((one) => one.mostIn)),
      leastIn: lowestIn
    };
  }
  if (read.by === 'plate') {
    if (!read.fitsOver)
      return atLeast(leastIn, band.lowIn) && atMost(mostIn, band.highIn)
        ? { state: 'done', divisions, leastIn, mostIn }
        : { state: 'measure', leastIn, mostIn };
    if (next.overDriven || next.done) return { state: 'measure', leastIn, mostIn };
  } else if (next.done) return { state: 'done', divisions, leastIn, mostIn };
  if (next.stuck)
    return {
      state: 'stuck',
      divisions,
      wouldReachIn: leastIn + Math.min(next.heightPerDivisionIn, -nominalOf(setup))
    };
  return {
    state: 'closer',
    divisions: divisions + next.changeDivisions,
    change: next.changeDivisions,
    nowIn: leastIn,
    predictedIn: leastIn + next.changeDivisions * next.heightPerDivisionIn
  };
}

const nominalOf = ({
  turnIn,
  divisionsPerTurn
}: Pick<SqueezerSetup, 'turnIn' | 'divisionsPerTurn'>) => turnIn / divisionsPerTurn;

/** Divisions that raise a head by a length even where the tool springs back by half; at least one. */
const openingFor = (raiseIn: number, setup: SqueezerSetup): number =>
  Math.max(1, ceilTo(raiseIn / (LEAST_SHARE * nominalOf(setup))));

function openWork(said: SqueezerSaid, setup: SqueezerSetup, band: HeadBand): WorkLine[] {
  if (said.state !== 'over-driven') return [];
  return [
    workLine(
      'open to',
      by`${said.closedAt} − (${len(band.targetIn)} − ${len(said.leastIn)}) / (½ × ${len(nominalOf(setup))}), by whole divisions`,
      said.openTo,
      'divisions'
    )
  ];
}

/** One creeps up to a remembered setting again from so much further open. */
const CREEP_DIVISIONS = 3;

/**
 * How far a squeezer is opened from one setting before it is crept up for another rivet.
 *
 * The gap follows grip and head; a longer rivet at the same gap springs the tool more, and its head comes out higher or
 * wider: a few divisions further open, then up again.
 *
 * @returns divisions to open; 0 where it may begin where it stands
 * @throws never
 * @source drive: squeezing, closed gap
 */
export function openingBetween(
  was: SqueezerSetup,
  now: SqueezerSetup
): { divisions: number; work: WorkLine[] } {
  const [before, after] = [headBand(was), headBand(now)];
  const aimOf = (band: typeof before, setup: SqueezerSetup) =>
    setup.gripIn + (band.ok ? band.result.targetIn : 0);
  const widerIn = aimOf(after, now) - aimOf(before, was);
  const gapDivisions = ceilTo(widerIn / nominalOf(now));
  const another = now.lengthIn !== was.lengthIn || now.gripIn !== was.gripIn;
  const divisions = another ? Math.max(0, gapDivisions + CREEP_DIVISIONS) : 0;
  return {
    divisions,
    work: [
      workLine(
        'wider gap',
        by`grip + head: (${len(now.gripIn)} + ${len(aimOf(after, now) - now.gripIn)}) − (${len(was.gripIn)} + ${len(aimOf(before, was) - was.gripIn)})`,
        widerIn,
        'in'
      ),
      workLine(
        'open by',
        by`${len(widerIn)} / ${len(nominalOf(now))}, up to ${gapDivisions}, and ${another ? CREEP_DIVISIONS : 0} to creep up again`,
        divisions,
        'divisions'
      )
    ]
  };
}

/** Whole turns and the divisions left over. */
export const asTurns = (
  divisions: number,
  perTurn: number
): { turns: number; divisions: number } => ({
  turns: floorTo(Math.abs(divisions) / perTurn),
  divisions: Math.abs(divisions) % perTurn
});
