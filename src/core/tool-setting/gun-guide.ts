import { workLine, type Answer, type WorkLine } from '../answer.ts';
import { DRIVING_FIGURES } from '../catalog/driving-figures.ts';
import { by, len } from '../notation.ts';
import { above, atLeast, atMost, below, floorTo } from '../units/tolerance.ts';
import { headBand, type HeadBand } from './head-band.ts';
import type { GunSetup } from './tool-setup.ts';

/** How the gun hit scrap wood at an air pressure. */
export const WOOD = ['wimpy', 'dents', 'splits'] as const;
export type Wood = (typeof WOOD)[number];

export type GunTrial =
  | { id: string; on: 'wood'; airPsi: number; wood: Wood }
  /** one burst on a rivet, and the head after it; `fresh`: its first */
  | { id: string; on: 'rivet'; seconds: number; heightIn: number; fresh: boolean };

/** What to do next with a gun, as a code with its quantities; lengths in inches. */
export type GunSaid =
  | { state: 'wood'; airPsi: number; was: Wood | null; outside: boolean }
  | { state: 'first-burst'; seconds: number; rememberedS: number | null }
  | { state: 'next-burst'; seconds: number; nowIn: number; predictedIn: number }
  | { state: 'stuck'; nowIn: number; wouldReachIn: number; airPsi: number }
  | { state: 'over-driven'; nowIn: number; seconds: number }
  | { state: 'done'; seconds: number; heightIn: number; airPsi: number };

export interface GunGuide {
  said: GunSaid;
  band: HeadBand;
  /** the air at which wood dents without splitting; null while that is not found */
  airPsi: number | null;
  /** bursts on the rivet that is being driven */
  bursts: { id: string; seconds: number; heightIn: number; totalS: number }[];
  nextS: number | null;
  work: WorkLine[];
}

/** By so much is the air changed between two tries on wood. */
const AIR_STEP_PSI = 5;
/** Nobody lets go of a trigger faster. */
export const SHORTEST_BURST_S = 0.3;
/** Of what is left to do, so much at most is asked of the next burst: one can always drive more. */
const BURST_SHARE = 0.75;
/** Of what a head took before, so much is asked of a first burst. */
const FIRST_SHARE = 0.5;
const tenths = (seconds: number) => floorTo(seconds * 10) / 10;

/**
 * The next step of setting a gun: on wood until it dents without splitting, then one rivet in short bursts.
 *
 * A head grows harder as it widens, so the fastest burst so far is the most that the next can do.
 *
 * @param trials in order, struck ones left out
 * @param remembered at which air, and what a head of this size took; null where this gun drove none
 * @returns `not-possible` where this rivet makes no good head in this grip
 * @throws never
 * @source driving-tools and drive: gun, burst
 */
export function gunGuide(
  setup: GunSetup,
  trials: readonly GunTrial[],
  remembered: { seconds: number; airPsi: number } | null = null
): Answer<GunGuide> {
  const limits = headBand(setup);
  if (!limits.ok) return limits;
  const band = limits.result;
  const { airPsi: air, burstS } = DRIVING_FIGURES[setup.dash];
  const lastWood = trials.findLastIndex(({ on }) => on === 'wood');
  const wood = trials[lastWood];
  const airPsi = wood?.on === 'wood' && wood.wood === 'dents' ? wood.airPsi : null;
  const rivets = rivetsOf(trials.slice(lastWood + 1), band.freeIn);
  const bursts = rivets.at(-1) ?? [];
  const common = { band, airPsi, bursts };
  const tell = (said: GunSaid, nextS: number | null, work: WorkLine[]): Answer<GunGuide> => ({
    ok: true,
    result: { ...common, said, nextS, work: [...band.work, ...work] },
    work
  });
  if (airPsi === null) {
    const was = wood?.on === 'wood' ? wood : null;
    const next =
      was === null
        ? (remembered?.airPsi ?? air.least)
        : Math.max(AIR_STEP_PSI, was.airPsi + (was.wood === 'splits' ? -1 : 1) * AIR_STEP_PSI);
    return tell(
      {
        state: 'wood',
        airPsi: next,
        was: was?.wood ?? null,
        outside: next < air.least || next > air.most
      },
      null,
      []
    );
  }
  const last = bursts.at(-1);
  const firstS = Math.max(
    SHORTEST_BURST_S,
    tenths(FIRST_SHARE * (remembered?.seconds ?? burstS.least))
  );
  if (!last)
    return tell(
      { state: 'first-burst', seconds: firstS, rememberedS: remembered?.seconds ?? null },
      firstS,
      []
    );
  if (below(last.heightIn, band.lowIn))
    return tell(
      {
        state: 'over-driven',
        nowIn: last.heightIn,
        seconds: Math.max(SHORTEST_BURST_S, tenths(FIRST_SHARE * last.totalS))
      },
      Math.max(SHORTEST_BURST_S, tenths(FIRST_SHARE * last.totalS)),
      []
    );
  if (atLeast(last.heightIn, band.lowIn) && atMost(last.heightIn, band.highIn))
    return tell({ state: 'done', seconds: last.totalS, heightIn: last.heightIn, airPsi }, null, []);
  return burstOn(last, fastest(rivets, band.freeIn), airPsi, band, burstS.most, tell);
}

type Burst = GunGuide['bursts'][number];

/** Bursts by the rivet they were given to. */
function rivetsOf(trials: readonly GunTrial[], freeIn: number): Burst[][] {
  const rivets: Burst[][] = [];
  for (const trial of trials) {
    if (trial.on !== 'rivet') continue;
    const before = trial.fresh ? [] : (rivets.at(-1) ?? []);
    if (before.length === 0) rivets.push(before);
    before.push({
      id: trial.id,
      seconds: trial.seconds,
      heightIn: Math.min(trial.heightIn, freeIn),
      totalS: (before.at(-1)?.totalS ?? 0) + trial.seconds
    });
  }
  return rivets;
}

/** The most that a second of bursts has lowered a head, in/s. */
const fastest = (rivets: readonly Burst[][], freeIn: number): number =>
  Math.max(
    ...rivets.flatMap((bursts) =>
      bursts.map(
        ({ seconds, heightIn }, at) => ((bursts[at - 1]?.heightIn ?? freeIn) - heightIn) / seconds
      )
    )
  );

function burstOn(
  { heightIn }: Burst,
  rateIn: number,
  airPsi: number,
  band: HeadBand,
  mostS: number,
  tell: (said: GunSaid, nextS: number | null, work: WorkLine[]) => Answer<GunGuide>
): Answer<GunGuide> {
  // it has not moved yet: the longest burst of its size, and look
  const moved = above(rateIn, 0);
  const wantS = moved ? (BURST_SHARE * (heightIn - band.targetIn)) / rateIn : mostS;
  const safeS = moved ? (heightIn - band.lowIn) / rateIn : mostS;
  const seconds = tenths(Math.min(mostS, safeS, Math.max(SHORTEST_BURST_S, wantS)));
  const work = moved
    ? [
        workLine('fastest rate so far, per second', 'the quickest burst at this air', rateIn, 'in'),
        workLine(
          'next burst',
          by`${BURST_SHARE} × (${len(heightIn)} − ${len(band.targetIn)}) / ${len(rateIn)}, at most ${safeS.toFixed(1)} before the low limit`,
          seconds,
          's'
        )
      ]
    : [];
  if (seconds < SHORTEST_BURST_S)
    return tell(
      {
        state: 'stuck',
        nowIn: heightIn,
        wouldReachIn: heightIn - SHORTEST_BURST_S * rateIn,
        airPsi: Math.max(AIR_STEP_PSI, airPsi - AIR_STEP_PSI)
      },
      null,
      work
    );
  return tell(
    {
      state: 'next-burst',
      seconds,
      nowIn: heightIn,
      predictedIn: moved ? heightIn - seconds * rateIn : heightIn
    },
    seconds,
    work
  );
}
