import { notPossible, workLine, type Answer, type WorkLine } from '../../answer.ts';
import { by, len, type Notation } from '../../notation.ts';
import { CLICK_IN } from '../../stack/dimple-nest.ts';
import type { FlushBand, FlushTarget } from '../../stack/flush-target.ts';
import { writeDecimal } from '../../units/format-length.ts';
import { atLeast, atMost, below, ceilTo } from '../../units/tolerance.ts';
import { countersinkNext, filmRaisesIn } from '../countersink-next.ts';
import { contradicts, doubtsOf, type Doubt } from './doubts.ts';
import { nestSetting, type NestSetting } from './nest-setting.ts';
import { filmOf, filmUnsaid, flushBand, type CageSetup } from './setup.ts';
import {
  lineThrough,
  readTrials,
  type TrialGroup,
  type TrialLine,
  type TrialReading
} from './trials.ts';

/** So many holes at one setting must agree. */
export const HOLES_TO_AGREE = 3;
/** Further than the play of a cage's thread: one backs off so far before coming up to a setting again. */
const BACK_OFF_CLICKS = 5;

/** What to do and why, as a code with its quantities; lengths in inches, above the skin positive. */
export type GuideSaid =
  | { state: 'first'; rememberedClicks: number | null }
  | { state: 'deeper'; clicks: number; change: number; nowIn: number; predictedIn: number }
  | { state: 'more-holes'; clicks: number; holesToGo: number; nowIn: number; mustAgree: number }
  | { state: 'from-deep'; clicks: number; backOffTo: number }
  | { state: 'uneven'; deepestIn: number; proudestIn: number }
  | { state: 'unfit' }
  | { state: 'too-deep'; clicks: number; backOffTo: number; nowIn: number; ring: boolean }
  | { state: 'stuck'; clicks: number; wouldReachIn: number }
  | { state: 'set'; clicks: number; holes: number; deepestIn: number; proudestIn: number };

/** What to do next with a cage, and everything that was reckoned on the way. Lengths in inches. */
export interface CageGuide {
  said: GuideSaid;
  /** the readings contradict each other: why is to be found out first, whatever is said */
  doubted: boolean;
  band: FlushTarget;
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
  'said' | 'nextClicks' | 'changeClicks' | 'predictedIn' | 'backOffTo' | 'holesToGo'
>;
const NOTHING: Omit<Told, 'said'> = {
  nextClicks: null,
  changeClicks: 0,
  predictedIn: null,
  backOffTo: null,
  holesToGo: HOLES_TO_AGREE
};

/** Where one backs off to before coming up to a setting. */
export const backOffFor = (clicks: number): number => clicks - BACK_OFF_CLICKS;

/** Where the guide's line passes at a setting, with its arithmetic; null before the first trial. */
export function predictAt(
  { line }: Pick<CageGuide, 'line'>,
  clicks: number
): { flushIn: number; formula: Notation } | null {
  if (line === null) return null;
  const apart = clicks - line.clicks;
  return {
    flushIn: line.flushIn + apart * line.slopePerClickIn,
    formula: by`${len(line.flushIn)} + (${clicks} − ${writeDecimal(line.clicks, 0, 2)}) × ${len(line.slopePerClickIn)}`
  };
}

/**
 * Too deep: back to the target from the shallow side, at a thou a click so that none is too few, and shallower than every
 * setting that was too deep before.
 */
function tooDeep(
  here: TrialGroup,
  { targetIn }: FlushBand,
  ring: boolean,
  tooDeepFrom: number
): Told {
  const back = Math.max(
    1,
    ceilTo((targetIn - here.deepestIn) / CLICK_IN),
    here.clicks - tooDeepFrom + 1
  );
  const nextClicks = here.clicks - back;
  return {
    ...NOTHING,
    nextClicks,
    changeClicks: -back,
    predictedIn: here.deepestIn + back * CLICK_IN,
    backOffTo: backOffFor(nextClicks),
    said: {
      state: 'too-deep',
      clicks: nextClicks,
      backOffTo: backOffFor(nextClicks),
      nowIn: here.deepestIn,
      ring
    }
  };
}

function agreed(here: TrialGroup): Told {
  const holesToGo = Math.max(0, HOLES_TO_AGREE - here.readings.length);
  const { clicks, deepestIn, proudestIn } = here;
  return holesToGo > 0
    ? {
        ...NOTHING,
        nextClicks: clicks,
        predictedIn: deepestIn,
        holesToGo,
        said: {
          state: 'more-holes',
          clicks,
          holesToGo,
          nowIn: deepestIn,
          mustAgree: HOLES_TO_AGREE
        }
      }
    : {
        ...NOTHING,
        nextClicks: clicks,
        holesToGo: 0,
        said: { state: 'set', clicks, holes: here.readings.length, deepestIn, proudestIn }
      };
}

/**
 * What the trials so far call for. `next` is what the calculation allows from the deepest hole here; `tooDeepFrom` the
 * shallowest setting that was too deep, or infinity.
 */
function tell(
  here: TrialGroup,
  band: FlushBand,
  next: { changeClicks: number; tooDeep: boolean; stuck: boolean; slopePerClickIn: number },
  tooDeepFrom: number
): Told {
  const ring = here.readings.some((reading) => reading.ring);
  if (next.tooDeep || ring) return tooDeep(here, band, ring, tooDeepFrom);
  if (here.uneven)
    return {
      ...NOTHING,
      said: { state: 'uneven', deepestIn: here.deepestIn, proudestIn: here.proudestIn }
    };
  const inside = atLeast(here.deepestIn, band.lowIn) && atMost(here.proudestIn, band.highIn);
  if (inside) return agreed(here);
  // The deepest hole may be good where the proudest is not: one click, if the deepest stays good with it.
  const change = Math.max(1, next.changeClicks);
  const predictedIn = here.deepestIn + change * next.slopePerClickIn;
  if (next.stuck || below(predictedIn, band.lowIn) || here.clicks + change >= tooDeepFrom)
    return {
      ...NOTHING,
      said: {
        state: 'stuck',
        clicks: here.clicks,
        wouldReachIn: here.deepestIn + next.slopePerClickIn
      }
    };
  const clicks = here.clicks + change;
  return {
    ...NOTHING,
    nextClicks: clicks,
    changeClicks: change,
    predictedIn,
    said: { state: 'deeper', clicks, change, nowIn: here.deepestIn, predictedIn }
  };
}

function fromDeep({ clicks }: TrialGroup): Told {
  const backOffTo = backOffFor(clicks);
  return {
    ...NOTHING,
    nextClicks: clicks,
    backOffTo,
    said: { state: 'from-deep', clicks, backOffTo }
  };
}

const first = (rememberedClicks: number | null): Told => ({
  ...NOTHING,
  nextClicks: rememberedClicks,
  said: { state: 'first', rememberedClicks }
});

/** Trials nearer together than this say nothing of the cage’s own step. */
const LEAST_SPAN_CLICKS = 3;

/**
 * What a click of this cage cuts, in: of a nest a step too long would leave it shallow, so a cage that cuts less than an ordinary
 * one is taken at its word.
 */
function ownStepIn(groups: readonly TrialGroup[]): number {
  const clicks = groups.map((group) => group.clicks);
  const span = Math.max(...clicks) - Math.min(...clicks);
  const line = lineThrough(groups.flatMap((group) => group.readings));
  return line && span >= LEAST_SPAN_CLICKS && line.slopePerClickIn < 0
    ? -line.slopePerClickIn
    : CLICK_IN;
}

/**
 * The next step of setting a cage by trial, always from the shallow side; the deepest hole of a setting decides.
 *
 * @param readings trial holes in the order they were cut, struck ones left out
 * @param rememberedClicks a setting that this cage had before, to begin from; null where none is offered
 * @returns the refusal of the flush limits where they cannot be kept in this sheet
 * @source prepare; calculation `countersink-next`
 */
export function cageGuide(
  setup: CageSetup,
  readings: readonly TrialReading[],
  rememberedClicks: number | null = null
): Answer<CageGuide> {
  if (filmUnsaid(setup)) return notPossible('filmIn', { code: 'film-unsaid' });
  const limits = flushBand(setup);
  if (!limits.ok) return limits;
  const band = limits.result;
  const { groups, deepestClicks } = readTrials(readings, filmRaisesIn(filmOf(setup)));
  const here = groups.at(-1);
  const counted = groups.filter((group) => !group.fromDeep);
  const doubts = doubtsOf(groups);
  const common = { band, groups, deepestClicks, doubts, doubted: false, nest: null };
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
    ...filmOf(setup),
    trials
  });
  if (!next.ok) return next;
  const tooDeepFrom = Math.min(
    Infinity,
    ...counted.filter(({ deepestIn }) => below(deepestIn, band.lowIn)).map(({ clicks }) => clicks)
  );
  const plain = here.fromDeep ? fromDeep(here) : tell(here, band, next.result, tooDeepFrom);
  const contradicted = contradicts(doubts);
  // A cut that a bench or a chip stops agrees with itself too: where the readings contradict each other it is not kept.
  const told: Told =
    contradicted && plain.said.state === 'set' ? { ...plain, said: { state: 'unfit' } } : plain;
  const { state } = told.said;
  const doubted = contradicted && (state === 'deeper' || state === 'more-holes');
  const { confidence, slopePerClickIn } = next.result;
  const fitted =
    confidence === 'measured' ? lineThrough(counted.flatMap((group) => group.readings)) : null;
  const line = {
    ...(fitted ?? { clicks: at.clicks, flushIn: at.deepestIn, slopePerClickIn }),
    confidence
  };
  const nest =
    state === 'set' && setup.seat === 'rivet' && setup.skinIn !== null
      ? nestSetting(setup, here.clicks, here.deepestIn, ownStepIn(counted))
      : null;
  const work = [
    ...limits.work,
    ...next.work,
    ...(told.predictedIn === null || state === 'too-deep'
      ? []
      : [
          workLine(
            'predicted',
            by`${len(here.deepestIn)} + ${told.changeClicks} × ${len(slopePerClickIn)}`,
            told.predictedIn,
            'in'
          )
        ])
  ];
  return { ok: true, result: { ...common, ...told, doubted, line, nest, work }, work };
}
