import { z } from 'zod';
import { num, workLine, type Answer, type WorkLine } from '../answer.ts';
import { HEAD_LIMITS, NOMINAL_HEIGHT_D } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import { Dash, HeadLimitsKey, lengthIn } from '../schema/fields.ts';
import { above, below } from '../units/tolerance.ts';
import { drivenHead, type DrivenHeadResult } from './driven-head.ts';
import { FINDING_NOTES, SeenFlag } from './findings.ts';

/** Readings outside these are a slipped decimal or the wrong thing measured: no head is like that. */
const BELIEVABLE = {
  diameterD: { least: 0.9, most: 3 },
  heightD: { least: 0.1, most: 2.5 }
};

export const HeadReading = z
  .strictObject({
    dash: Dash,
    limits: HeadLimitsKey,
    diameterIn: lengthIn("the head's diameter", { above: 0 }),
    heightIn: lengthIn("the head's height", { above: 0 }),
    flags: z.array(SeenFlag).max(20)
  })
  .superRefine((reading, context) => {
    const D = rivetSize(reading.dash).diameterIn;
    const ask = (
      key: 'diameterIn' | 'heightIn',
      what: string,
      band: { least: number; most: number }
    ) => {
      const inD = reading[key] / D;
      if (inD >= band.least && inD <= band.most) return;
      context.addIssue({
        code: 'custom',
        path: [key],
        message: `${num(reading[key])} in is ${num(inD)} D ${what}; a head is between ${num(band.least * D)} and ${num(band.most * D)} in: did a decimal point slip?`
      });
    };
    ask('diameterIn', 'wide', BELIEVABLE.diameterD);
    ask('heightIn', 'high', BELIEVABLE.heightD);
  });
/** Two measurements of a driven head and what the eye saw, for one rivet size. */
export type HeadReading = z.output<typeof HeadReading>;

/** What the head's volume says that no gauge does. */
export interface MetalAccount {
  measuredIn3: number;
  /** measured / predicted */
  share: number;
  meaning: 'ordinary' | 'lost' | 'longer';
  text: string;
  /** measured / average of the row's other heads; null until there are some */
  shareOfRow: number | null;
  work: WorkLine[];
}

export interface HeadReport {
  judged: Answer<DrivenHeadResult>;
  /** why, one sentence a reason */
  reasons: string[];
  doNow: string[];
  metal: MetalAccount | null;
}

const LEAST_SHARE = 0.75;
const MOST_SHARE = 1.2;

/** Volume of a head as a cylinder, in³. */
export const headVolumeIn3 = (diameterIn: number, heightIn: number): number =>
  (Math.PI / 4) * diameterIn ** 2 * heightIn;

function accountForMetal(
  reading: HeadReading,
  predictedIn3: number,
  rowVolumesIn3: readonly number[]
): MetalAccount {
  const measuredIn3 = headVolumeIn3(reading.diameterIn, reading.heightIn);
  const share = measuredIn3 / predictedIn3;
  const meaning = share < LEAST_SHARE ? 'lost' : share > MOST_SHARE ? 'longer' : 'ordinary';
  const percent = `${Math.round(share * 100)} % of the predicted head`;
  const rowAverageIn3 =
    rowVolumesIn3.length === 0
      ? null
      : rowVolumesIn3.reduce((sum, volume) => sum + volume, 0) / rowVolumesIn3.length;
  return {
    measuredIn3,
    share,
    meaning,
    text: {
      ordinary: `${percent}: ordinary, the metal is there.`,
      lost: `${percent}: metal went elsewhere. Look for a gap, an oversize hole or a shorter rivet.`,
      longer: `${percent}: a longer rivet than planned was used.`
    }[meaning],
    shareOfRow: rowAverageIn3 === null ? null : measuredIn3 / rowAverageIn3,
    work: [
      workLine(
        'measured volume',
        `π/4·d²·h = π/4 × ${num(reading.diameterIn)}² × ${num(reading.heightIn)}`,
        measuredIn3,
        'in³'
      ),
      workLine('predicted volume', 'from grip, length and hole', predictedIn3, 'in³'),
      workLine('share', 'measured / predicted; 75 to 120 % is ordinary', share * 100, '%')
    ]
  };
}

function placeOf(valueD: number, window: { low: number; high: number }, word: string): string {
  const say = (value: number) => value.toFixed(2);
  const measured = `${say(valueD)} D ${word}`;
  if (below(valueD, window.low)) return `${measured}, ${say(window.low)} D is the least`;
  if (above(valueD, window.high)) return `${measured}, ${say(window.high)} D is the most`;
  return `${measured}, inside ${say(window.low)} to ${say(window.high)} D`;
}

function reasonsFor(judged: DrivenHeadResult, limits: HeadLimitsKey): string[] {
  const { diameterD, heightD } = HEAD_LIMITS[limits];
  const reasons = [
    placeOf(judged.diameterD, diameterD, 'wide'),
    placeOf(judged.heightD, heightD, 'high')
  ];
  for (const finding of judged.findings)
    reasons.push(`${finding}: ${FINDING_NOTES[finding].cause}`);
  return reasons;
}

/** Nothing to do with a good head, except where a wide one passes on a condition. */
function stepsFor(judged: DrivenHeadResult): string[] {
  if (judged.findings.length === 0)
    return [`Good head: nominal is 1.5 D wide, ${NOMINAL_HEIGHT_D} D high.`];
  return [...new Set(judged.findings.map((finding) => FINDING_NOTES[finding].remedy))].map(
    (remedy) => `${remedy[0]?.toUpperCase() ?? ''}${remedy.slice(1)}.`
  );
}

/**
 * Everything the Check station says about one head: the verdict, why, what now, and where the metal is.
 *
 * @param reading parsed with HeadReading
 * @param predictedIn3 predicted head volume, in³; null when there is no prediction
 * @param rowVolumesIn3 measured volumes of the other heads in this row, in³
 * @source handbook 4.6
 */
export function headReport(
  reading: HeadReading,
  predictedIn3: number | null,
  rowVolumesIn3: readonly number[]
): HeadReport {
  const judged = drivenHead(reading);
  return {
    judged,
    reasons: judged.ok ? reasonsFor(judged.result, reading.limits) : [judged.error.message],
    doNow: judged.ok ? stepsFor(judged.result) : [],
    metal: predictedIn3 === null ? null : accountForMetal(reading, predictedIn3, rowVolumesIn3)
  };
}
