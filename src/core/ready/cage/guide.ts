import { num, workLine, type Answer, type WorkLine } from '../../answer.ts';
import { CLICK_IN } from '../../stack/dimple-nest.ts';
import { writeDecimal } from '../../units/format-length.ts';
import { atLeast, atMost, below, ceilTo } from '../../units/tolerance.ts';
import { countersinkNext, fittedLine, type TrialLine } from '../countersink-next.ts';
import { contradicts, doubtsOf, type Doubt } from './doubts.ts';
import { nestSetting, type NestSetting } from './nest-setting.ts';
import { flushBand, type CageSetup, type FlushBand } from './setup.ts';
import { readTrials, type TrialGroup, type TrialReading } from './trials.ts';

/** So many holes at one setting must agree. */
export const HOLES_TO_AGREE = 3;
/** Further than the play of a cage's thread: one backs off so far before coming up to a setting again. */
const BACK_OFF_CLICKS = 5;

export type GuideState =
  | 'first'
  | 'deeper'
  | 'more-holes'
  | 'from-deep'
  | 'uneven'
  | 'unfit'
  | 'too-deep'
  | 'stuck'
  | 'set';

/** What to do next with a cage, and everything that was reckoned on the way. Lengths in inches. */
export interface CageGuide {
  state: GuideState;
  band: FlushBand;
  groups: TrialGroup[];
  /** the setting to cut the next hole at; null where something must be put right first, or nothing is known yet */
  nextClicks: number | null;
  changeClicks: number;
  /** where the head is predicted to stand then */
  predictedIn: number | null;
  /** a setting below this one is turned back to; null before the first trial */
  deepestClicks: number | null;
  /** back off to this setting first, then come up */
  backOffTo: number | null;
  /** what to do, in a sentence, and why */
  say: string;
  why: string;
  holesToGo: number;
  /** the line that predictions follow; null before the first trial */
  line: (TrialLine & { confidence: 'assumed' | 'measured' }) | null;
  doubts: Doubt[];
  /** the setting for holes beneath a dimple, once flush is found; null where none is wanted */
  nest: Answer<NestSetting> | null;
  work: WorkLine[];
}

type Told = Pick<
  CageGuide,
  | 'state'
  | 'nextClicks'
  | 'changeClicks'
  | 'predictedIn'
  | 'backOffTo'
  | 'say'
  | 'why'
  | 'holesToGo'
>;
const NOTHING: Omit<Told, 'state' | 'say' | 'why'> = {
  nextClicks: null,
  changeClicks: 0,
  predictedIn: null,
  backOffTo: null,
  holesToGo: HOLES_TO_AGREE
};

/** A gauge is read to half a tenth of a thou at best. */
const GAUGE_PLACES = 5;
/** What is predicted is told to a tenth of a thou: more would pretend. */
const PREDICTED_PLACES = 4;
const signed = (lengthIn: number, places: number): string =>
  `${lengthIn < 0 ? '−' : '+'}${writeDecimal(Math.abs(lengthIn), 3, places)} in`;
const thou = (readIn: number): string => signed(readIn, GAUGE_PLACES);
const about = (predictedIn: number): string => signed(predictedIn, PREDICTED_PLACES);

/** Where one backs off to before coming up to a setting. */
export const backOffFor = (clicks: number): number => clicks - BACK_OFF_CLICKS;

/** Where the guide's line passes at a setting, with its arithmetic; null before the first trial. */
export function predictAt(
  { line }: Pick<CageGuide, 'line'>,
  clicks: number
): { flushIn: number; formula: string } | null {
  if (line === null) return null;
  const apart = clicks - line.clicks;
  const flushIn = line.flushIn + apart * line.slopePerClickIn;
  const tidy = (value: number) => writeDecimal(value, 0, GAUGE_PLACES);
  return {
    flushIn,
    formula: `${tidy(line.flushIn)} + (${clicks} − ${writeDecimal(line.clicks, 0, 2)}) × ${tidy(line.slopePerClickIn)}`
  };
}

/** Above this the head is too deep; back to the target from the shallow side, at a thou a click so that none is too few. */
function tooDeep(here: TrialGroup, { targetIn }: FlushBand, ring: boolean): Told {
  const back = Math.max(1, ceilTo((targetIn - here.deepestIn) / CLICK_IN));
  const nextClicks = here.clicks - back;
  return {
    ...NOTHING,
    state: 'too-deep',
    nextClicks,
    changeClicks: -back,
    predictedIn: here.deepestIn + back * CLICK_IN,
    backOffTo: backOffFor(nextClicks),
    say: `Too deep. Back off to ${backOffFor(nextClicks)}, come up to ${nextClicks}, and cut a fresh hole.`,
    why: ring
      ? 'The shiny ring says too deep. In the real sheet this could not be undone.'
      : `${thou(here.deepestIn)} is below the low limit. In the real sheet this could not be undone.`
  };
}

function agreed(here: TrialGroup): Told {
  const holesToGo = Math.max(0, HOLES_TO_AGREE - here.readings.length);
  return holesToGo > 0
    ? {
        ...NOTHING,
        state: 'more-holes',
        nextClicks: here.clicks,
        predictedIn: here.deepestIn,
        holesToGo,
        say: `Leave it at ${here.clicks}. Cut ${holesToGo} more ${holesToGo === 1 ? 'hole' : 'holes'}.`,
        why: `${thou(here.deepestIn)} is good; ${HOLES_TO_AGREE} holes must agree.`
      }
    : {
        ...NOTHING,
        state: 'set',
        nextClicks: here.clicks,
        holesToGo: 0,
        say: `Set: flush at ${here.clicks} clicks.`,
        why: `${here.readings.length} holes from ${thou(here.deepestIn)} to ${thou(here.proudestIn)}, all within the limits.`
      };
}

/** What the trials so far call for. `change` is what the calculation allows from the deepest hole here. */
function tell(
  here: TrialGroup,
  band: FlushBand,
  next: { changeClicks: number; tooDeep: boolean; stuck: boolean; slopePerClickIn: number }
): Told {
  const ring = here.readings.some((reading) => reading.ring);
  if (next.tooDeep || ring) return tooDeep(here, band, ring);
  if (here.uneven)
    return {
      ...NOTHING,
      state: 'uneven',
      say: 'The holes do not agree: find out why first.',
      why: `${thou(here.deepestIn)} to ${thou(here.proudestIn)} at one setting. Strike a false reading, or begin again from shallow.`
    };
  const inside = atLeast(here.deepestIn, band.lowIn) && atMost(here.proudestIn, band.highIn);
  if (inside) return agreed(here);
  // The deepest hole may be good where the proudest is not: one click, if the deepest stays good with it.
  const change = Math.max(1, next.changeClicks);
  const predictedIn = here.deepestIn + change * next.slopePerClickIn;
  if (next.stuck || below(predictedIn, band.lowIn))
    return {
      ...NOTHING,
      state: 'stuck',
      say: `Leave it at ${here.clicks} and finish by hand.`,
      why: `One click more is predicted to reach ${about(here.deepestIn + next.slopePerClickIn)}, below the low limit.`
    };
  return {
    ...NOTHING,
    state: 'deeper',
    nextClicks: here.clicks + change,
    changeClicks: change,
    predictedIn,
    say: `Set ${here.clicks + change}: ${change} ${change === 1 ? 'click' : 'clicks'} deeper.`,
    why: `${thou(here.deepestIn)} now, ${about(predictedIn)} predicted; never past the low limit.`
  };
}

/** A cut that a bench or a chip stops agrees with itself too: where the readings contradict each other it is not kept. */
function doubted(told: Told): Told {
  if (told.state === 'set')
    return {
      ...told,
      state: 'unfit',
      say: 'Do not keep it yet: the readings do not fit.',
      why: 'These holes agree, but not with those before. Find out why; strike what was read falsely, or begin again from shallow.'
    };
  return told.state === 'deeper' || told.state === 'more-holes'
    ? { ...told, why: `${told.why} But the readings do not fit: find out why first.` }
    : told;
}

function fromDeep(here: TrialGroup): Told {
  return {
    ...NOTHING,
    state: 'from-deep',
    nextClicks: here.clicks,
    backOffTo: backOffFor(here.clicks),
    say: `Back off to ${backOffFor(here.clicks)}, come up to ${here.clicks}, and cut a fresh hole.`,
    why: 'This setting was reached by turning back: the play of the thread is on the wrong side.'
  };
}

const first = (rememberedClicks: number | null): Told => ({
  ...NOTHING,
  state: 'first',
  nextClicks: rememberedClicks,
  say:
    rememberedClicks === null
      ? 'Set the cage well shallow and cut one hole in the coupon.'
      : `Come up to ${rememberedClicks}, as remembered, and cut one hole in the coupon.`,
  why:
    rememberedClicks === null
      ? 'Nothing is known of this cage yet: the cutter should just mark the hole’s edge.'
      : 'A remembered setting is checked on scrap before it is trusted.'
});

/**
 * The next step of setting a cage by trial, always from the shallow side; the deepest hole of a setting decides.
 *
 * @param readings trial holes in the order they were cut, struck ones left out
 * @param rememberedClicks a setting that this cage had before, to begin from; null where none is offered
 * @returns the refusal of the flush limits where they cannot be kept in this sheet
 * @source handbook 4.4; contract `countersink-next`
 */
export function cageGuide(
  setup: CageSetup,
  readings: readonly TrialReading[],
  rememberedClicks: number | null = null
): Answer<CageGuide> {
  const limits = flushBand(setup);
  if (!limits.ok) return limits;
  const band = limits.result;
  const { groups, deepestClicks } = readTrials(readings, setup.filmIn);
  const here = groups.at(-1);
  const counted = groups.filter((group) => !group.fromDeep);
  const doubts = doubtsOf(groups);
  const common = { band, groups, deepestClicks, doubts, nest: null };
  const at = counted.at(-1);
  if (!here || !at) {
    const told = here ? fromDeep(here) : first(rememberedClicks);
    return { ok: true, result: { ...common, ...told, line: null, work: limits.work }, work: [] };
  }
  // The calculation goes by the last trial: the deepest of this setting.
  const trials = counted.flatMap((group) =>
    [...group.readings]
      .sort((a, b) => b.flushIn - a.flushIn)
      .map(({ clicks, flushnessIn }) => ({ clicks, flushnessIn }))
  );
  const next = countersinkNext({
    targetIn: band.targetIn,
    limits: { lowIn: band.lowIn, highIn: band.highIn },
    filmIn: setup.filmIn,
    trials
  });
  if (!next.ok) return next;
  const plain = here.fromDeep ? fromDeep(here) : tell(here, band, next.result);
  const told = contradicts(doubts) ? doubted(plain) : plain;
  const { confidence, slopePerClickIn } = next.result;
  const fitted =
    confidence === 'measured' ? fittedLine(counted.flatMap((group) => group.readings)) : null;
  const line = {
    ...(fitted ?? { clicks: at.clicks, flushIn: at.deepestIn, slopePerClickIn }),
    confidence
  };
  const nest =
    told.state === 'set' && setup.seat === 'rivet' && setup.skinIn !== null
      ? nestSetting(setup, here.clicks, here.deepestIn, slopePerClickIn)
      : null;
  const work = [
    ...limits.work,
    ...next.work,
    ...(told.predictedIn === null || told.state === 'too-deep'
      ? []
      : [
          workLine(
            'predicted',
            `${num(here.deepestIn)} + ${told.changeClicks} × ${num(slopePerClickIn)}`,
            told.predictedIn,
            'in'
          )
        ])
  ];
  return { ok: true, result: { ...common, ...told, line, nest, work }, work };
}
