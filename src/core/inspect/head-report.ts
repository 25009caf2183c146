import { z } from 'zod';
import { workLine, type Answer, type WorkLine } from '../answer.ts';
import { by, len } from '../notation.ts';
import { headLimits } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { saying, type RefusalSaid } from '../refusal-said.ts';
import { Dash, HeadLimitsName, lengthIn } from '../schema/fields.ts';
import { problemsOf } from '../schema/read.ts';
import { above, below } from '../units/tolerance.ts';
import { heldAgainst } from './at-its-limit.ts';
import { drivenHead, type DrivenHeadResult } from './driven-head.ts';
import { SeenFlag, type Finding } from './findings.ts';

/** Readings outside these are a slipped decimal or the wrong thing measured: no head is like that. */
const BELIEVABLE = {
  diameterD: { least: 0.9, most: 3 },
  heightD: { least: 0.1, most: 2.5 }
};

type Reading = 'diameterIn' | 'heightIn';
const WAYS = {
  diameterIn: { way: 'wide', ...BELIEVABLE.diameterD },
  heightIn: { way: 'high', ...BELIEVABLE.heightD }
} as const;

/** A reading that no head of this size has; null where it may be. */
function slipped(key: Reading, valueIn: number, dash: Dash): RefusalSaid | null {
  const D = rivetSize(dash).diameterIn;
  const { way, least, most } = WAYS[key];
  const valueD = valueIn / D;
  if (valueD >= least && valueD <= most) return null;
  return { code: 'slipped-head', valueIn, valueD, way, leastIn: least * D, mostIn: most * D };
}

export const HeadReading = z
  .strictObject({
    dash: Dash,
    limits: HeadLimitsName,
    diameterIn: lengthIn("the head's diameter", { above: 0 }),
    heightIn: lengthIn("the head's height", { above: 0 }),
    flags: z.array(SeenFlag).max(20)
  })
  .superRefine((reading, context) => {
    for (const key of ['diameterIn', 'heightIn'] as const) {
      const said = slipped(key, reading[key], reading.dash);
      if (said) context.addIssue({ code: 'custom', path: [key], params: saying(said) });
    }
  });
/** Two measurements of a driven head and what the eye saw, for one rivet size. */
export type HeadReading = z.output<typeof HeadReading>;

/**
 * What is wrong with one of the two readings, judged by itself as it is typed.
 *
 * @returns null where it may be a head of this size
 */
export function readingRefused(key: Reading, typed: string, dash: Dash): RefusalSaid | null {
  const read = HeadReading.shape[key].safeParse(typed, { reportInput: true });
  if (!read.success) return problemsOf(read.error)[0]?.said ?? null;
  return slipped(key, read.data, dash);
}

/** What the heads of a row have in common. */
export type RowMeaning = 'ordinary' | 'row-lost' | 'row-longer';

/** What the head's volume says that no gauge does. */
export interface MetalAccount {
  measuredIn3: number;
  /** measured / predicted */
  share: number;
  /** `row-…`: as all of its row, so that it is the row's matter; else this head departs from what is expected, or from its row */
  meaning: RowMeaning | 'lost' | 'longer';
  /** its share / the average share of the row's other heads; null until there are some */
  shareOfRow: number | null;
  work: WorkLine[];
}

/** One reason of a verdict; multiples of D, and the D that they are of. */
export type ReasonSaid =
  | {
      code: 'placed';
      way: 'wide' | 'high';
      valueD: number;
      lowD: number;
      highD: number;
      /** the rivet's, in */
      diameterIn: number;
      place: 'under' | 'inside' | 'over';
    }
  | { code: 'found'; finding: Finding };

export interface HeadReport {
  judged: Answer<DrivenHeadResult>;
  /** why; empty where it could not be judged */
  reasons: ReasonSaid[];
  /** what was found, each with what is done about it; empty for a good head */
  findings: Finding[];
  metal: MetalAccount | null;
}

const LEAST_SHARE = 0.75;
const MOST_SHARE = 1.2;
/** More than this no rivet has for its head, whatever was filled, lost or too long: something else was read, or read wrongly. */
const MOST_POSSIBLE_SHARE = 2;
/** Whether a reading holds more metal than there is. */
export const isImpossible = (share: number): boolean => share > MOST_POSSIBLE_SHARE;

/** Fewer heads than this do not tell a row's habit from one head's. */
const ROW_HEADS = 3;

/** Volume of a head as a cylinder, in³. */
export const headVolumeIn3 = (diameterIn: number, heightIn: number): number =>
  (Math.PI / 4) * diameterIn ** 2 * heightIn;

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * What a row's heads have in common: short or over all alike is the length used or the holes, not the driving.
 *
 * @param shares measured / predicted volume of each head
 * @returns null until there are three
 */
export function rowMeaning(
  shares: readonly number[]
): { meaning: RowMeaning; share: number } | null {
  if (shares.length < ROW_HEADS) return null;
  const share = mean(shares);
  return {
    share,
    meaning: share < LEAST_SHARE ? 'row-lost' : share > MOST_SHARE ? 'row-longer' : 'ordinary'
  };
}

function meaningOf(share: number, rowShares: readonly number[]): MetalAccount['meaning'] {
  const row = rowMeaning(rowShares);
  const against = row === null || row.meaning === 'ordinary' ? share : share / row.share;
  if (against < LEAST_SHARE) return 'lost';
  if (against > MOST_SHARE) return 'longer';
  return row?.meaning ?? 'ordinary';
}

function accountForMetal(
  reading: HeadReading,
  predictedIn3: number,
  rowShares: readonly number[]
): MetalAccount {
  const measuredIn3 = headVolumeIn3(reading.diameterIn, reading.heightIn);
  const share = measuredIn3 / predictedIn3;
  return {
    measuredIn3,
    share,
    meaning: meaningOf(share, rowShares),
    shareOfRow: rowShares.length === 0 ? null : share / mean(rowShares),
    work: [
      workLine(
        'measured volume',
        by`π/4·d²·h = π/4 × ${len(reading.diameterIn)}² × ${len(reading.heightIn)}`,
        measuredIn3,
        'in³'
      ),
      workLine('predicted volume', 'from grip, length and hole', predictedIn3, 'in³'),
      workLine('share', 'measured / predicted; 75 to 120 % is ordinary', share * 100, '%')
    ]
  };
}

function reasonsFor(
  judged: DrivenHeadResult,
  { limits, dash }: Pick<HeadReading, 'limits' | 'dash'>
): ReasonSaid[] {
  const { diameterD, heightD } = headLimits(limits);
  const placed = (way: 'wide' | 'high', valueD: number, window: { low: number; high: number }) => ({
    code: 'placed' as const,
    way,
    valueD,
    lowD: window.low,
    highD: window.high,
    diameterIn: rivetSize(dash).diameterIn,
    place: below(valueD, window.low)
      ? ('under' as const)
      : above(valueD, window.high)
        ? ('over' as const)
        : ('inside' as const)
  });
  return [
    placed('wide', judged.diameterD, diameterD),
    placed('high', judged.heightD, heightD),
    ...judged.findings.map((finding) => ({ code: 'found' as const, finding }))
  ];
}

/**
 * Everything the Check station says about one head: the verdict, why, what now, and where the metal is.
 *
 * @param reading parsed with HeadReading
 * @param predictedIn3 predicted head volume, in³; null when there is no prediction
 * @param rowShares measured / predicted volume of the other heads in this row
 * @source inspect
 */
export function headReport(
  reading: HeadReading,
  predictedIn3: number | null,
  rowShares: readonly number[]
): HeadReport {
  const judged = drivenHead(heldAgainst(reading));
  return {
    judged,
    reasons: judged.ok ? reasonsFor(judged.result, reading) : [],
    findings: judged.ok ? judged.result.findings : [],
    metal: predictedIn3 === null ? null : accountForMetal(reading, predictedIn3, rowShares)
  };
}
