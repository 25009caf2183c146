import { headLimits, NOMINAL_DIAMETER_D } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { workLine, type WorkLine } from '../answer.ts';
import { by, len } from '../notation.ts';
import { HeadLimitsKey } from '../schema/fields.ts';
import { heldAgainst } from './at-its-limit.ts';
import { drivenHead } from './driven-head.ts';
import type { Finding, Verdict } from './findings.ts';
import type { HeadReading, MetalAccount } from './head-report.ts';

/** What may have made a head so, as its numbers point to it. */
export type Cause =
  | 'stopped-early'
  | 'low-air'
  | 'too-long-a-burst'
  | 'squeezer-closed-too-far'
  | 'rivet-short'
  | 'hole-large'
  | 'gap'
  | 'rivet-long'
  | 'bar-not-square'
  | 'setting-moved'
  | 'row-alike'
  | 'cold-time-passed';

/** What is known around a head. */
export interface AroundHead {
  findings: readonly Finding[];
  metal: Pick<MetalAccount, 'share' | 'meaning'> | null;
  /** how the heads driven just before and after went: rising or falling diameters, or neither */
  trend: 'rising' | 'falling' | null;
  /** its batch had expired when it was driven */
  expired: boolean;
  /** the run's setting is not released, or asks for a look */
  settingOpen: boolean;
}

const SHORT_SHARE = 0.75;

/**
 * The causes of a bad head, likeliest first: what its metal says comes before what is usual, and what its neighbors show
 * before what is its own.
 *
 * @source inspect
 */
export function likelyCauses({
  findings,
  metal,
  trend,
  expired,
  settingOpen
}: AroundHead): Cause[] {
  const found = new Set<Cause>();
  const has = (...some: Finding[]) => some.some((one) => findings.includes(one));
  if (metal?.meaning === 'row-lost' || metal?.meaning === 'row-longer') found.add('row-alike');
  if (has('short-of-metal')) {
    if (metal !== null && metal.share < SHORT_SHARE)
      for (const one of ['gap', 'hole-large', 'rivet-short'] as const) found.add(one);
    // the metal is there: only the volume of a barrel, or a head driven askew, hides it
    else for (const one of ['rivet-short', 'hole-large', 'gap'] as const) found.add(one);
  }
  if (has('over-driven')) {
    if (trend === 'rising' || settingOpen) found.add('setting-moved');
    found.add('too-long-a-burst').add('squeezer-closed-too-far');
  }
  if (has('under-driven')) {
    if (trend === 'falling' || settingOpen) found.add('setting-moved');
    found.add('stopped-early').add('low-air');
  }
  if (has('too-long')) {
    found.add('rivet-long');
    if (metal?.meaning === 'ordinary') found.add('too-long-a-burst');
  }
  if (has('cracked') && expired) found.add('cold-time-passed');
  if (has('tilted', 'clinched', 'off-centre')) found.add('bar-not-square');
  if (has('clinched', 'off-centre')) found.add('rivet-long');
  if (has('swelled-between')) found.add('gap');
  return [...found];
}

/**
 * To which height a head that has its metal is driven on: where that metal makes the nominal width, kept within the limits.
 *
 * @returns null where no height makes a good head of it
 */
export function driveTo({
  dash,
  limits,
  diameterIn,
  heightIn
}: Pick<HeadReading, 'dash' | 'limits' | 'diameterIn' | 'heightIn'>): {
  heightIn: number;
  work: WorkLine[];
} | null {
  const D = rivetSize(dash).diameterIn;
  const { diameterD, heightD } = headLimits(limits);
  const metal = diameterIn ** 2 * heightIn;
  const at = (wideD: number) => metal / (wideD * D) ** 2;
  const leastIn = Math.max(heightD.low * D, at(diameterD.high));
  const mostIn = Math.min(heightD.high * D, at(diameterD.low));
  if (leastIn > mostIn) return null;
  const nominalIn = at(NOMINAL_DIAMETER_D);
  const toIn = Math.min(Math.max(nominalIn, leastIn), mostIn);
  return {
    heightIn: toIn,
    work: [
      workLine(
        'height at 1.5 D',
        by`d²·h / (1.5 D)² = ${len(diameterIn)}² × ${len(heightIn)} / ${len(NOMINAL_DIAMETER_D * D)}²`,
        nominalIn,
        'in'
      ),
      workLine(
        'kept between',
        by`${len(leastIn)} and ${len(mostIn)}, where height and width are within their limits`,
        toIn,
        'in'
      )
    ]
  };
}

/** What the other limit schools would say of the same reading. */
export const otherSchools = (reading: HeadReading): { limits: HeadLimitsKey; verdict: Verdict }[] =>
  HeadLimitsKey.options.flatMap((limits) => {
    if (limits === reading.limits) return [];
    const judged = drivenHead(heldAgainst({ ...reading, limits }));
    return judged.ok ? [{ limits, verdict: judged.result.verdict }] : [];
  });

/** Whether the last heads went up or down, one after another, to this one; diameters in the order measured. */
export function trendOf(diametersIn: readonly number[], least = 4): AroundHead['trend'] {
  const last = diametersIn.slice(-least);
  if (last.length < least) return null;
  const steps = last.slice(1).map((value, at) => value - (last[at] as number));
  if (steps.every((step) => step > 0)) return 'rising';
  return steps.every((step) => step < 0) ? 'falling' : null;
}
