import type { FindingLimits } from '../../core/inspect/finding-limits.ts';
import type { FlushLimits } from '../../core/inspect/flush-look.ts';
import type { CannotTell } from '../../core/inspect/head-judged.ts';
import type { HeadSeat } from '../../core/release/flush-at.ts';
import type { Cause } from '../../core/inspect/head-causes.ts';
import type { NextHead } from '../../core/inspect/next-head.ts';
import type { InspectionPlace } from '../../core/rules/inspection.ts';
import type { Finding, HeadVerdict, Look, Place, SeenFlag } from '../../core/inspect/findings.ts';
import type { HeadReport, MetalAccount, ReasonSaid } from '../../core/inspect/head-report.ts';
import { NOMINAL_HEIGHT_D } from '../../core/catalog/head-limits.ts';
import { sentence, type WriteLength } from './writing.ts';

/** What each finding is called at the bench. */
export const FINDING_NAMES: Record<Finding, string> = {
  'under-driven': 'under-driven',
  'over-driven': 'over-driven',
  'short-of-metal': 'rivet too short',
  'too-long': 'rivet too long',
  cracked: 'cracked',
  clinched: 'clinched',
  tilted: 'tipped head',
  'off-centre': 'off center',
  'bar-mark': 'bucking bar cut',
  'open-head': 'gap under manufactured head',
  smile: 'open smile',
  'swelled-between': 'shank swelled between sheets',
  'not-flush-high': 'head high',
  'ring-mark': 'rivet set mark on sheet',
  'bar-dent': 'bar dent',
  distorted: 'distorted sheet',
  'dimple-crack': 'cracked dimple',
  'not-flush-low': 'head low'
};

/** Where to look, the usual cause and what is done about each finding (inspect). */
const FINDING_NOTES: Record<Finding, { where: string; cause: string; remedy: string }> = {
  'under-driven': {
    where: 'shop head',
    cause: 'stopped early, or low air',
    remedy: 'drive further: one short burst, then measure again'
  },
  'over-driven': {
    where: 'shop head',
    cause: 'too long a burst, or the squeezer closed too far',
    remedy: 'replace'
  },
  'short-of-metal': {
    where: 'shop head',
    cause: 'rivet too short, oversize hole, or metal lost in a gap',
    remedy: 'replace with a longer rivet after checking the hole and the gap'
  },
  'too-long': {
    where: 'shop head',
    cause: 'rivet too long',
    remedy: 'accept only if straight and sheets flat; otherwise use a shorter rivet'
  },
  cracked: {
    where: 'shop head',
    cause: 'hard rivet (icebox time passed) or worked too long',
    remedy: 'replace'
  },
  clinched: { where: 'shop head', cause: 'too long, or the bar at an angle', remedy: 'replace' },
  tilted: {
    where: 'shop head',
    cause: 'bar not square: over 5 % of D difference in height',
    remedy: 'replace'
  },
  'off-centre': {
    where: 'shop head',
    cause: 'bar walked, or rivet too long: hole covered by less than 0.1 D',
    remedy: 'replace'
  },
  'bar-mark': { where: 'shop head', cause: 'bar slid off and cut', remedy: 'replace' },
  'open-head': {
    where: 'manufactured head',
    cause: 'gun pressure too low, hole out of square, or a burr: a thin feeler reaches the shank',
    remedy: 'replace'
  },
  smile: {
    where: 'manufactured head',
    cause: 'set too small or tilted, cut beyond dressing',
    remedy: 'replace'
  },
  'swelled-between': {
    where: 'sheets',
    cause: 'sheets not pulled together',
    remedy: 'replace; clamp and deburr first'
  },
  'not-flush-high': {
    where: 'manufactured head',
    cause: 'countersink too shallow',
    remedy: 'replace after touching up the countersink'
  },
  'ring-mark': { where: 'sheet', cause: 'set too large or tilted', remedy: 'refer' },
  'bar-dent': { where: 'sheet', cause: 'bar left the rivet while the gun ran', remedy: 'refer' },
  distorted: { where: 'sheet', cause: 'over-driving', remedy: 'refer' },
  'dimple-crack': { where: 'sheet', cause: 'not driven straight, or hard temper', remedy: 'refer' },
  'not-flush-low': {
    where: 'manufactured head',
    cause: 'countersink too deep: it cannot be undone',
    remedy: 'refer; the next rivet size may solve it'
  }
};

/** Of a head in a dimple nothing is said about a countersink (rework). */
const IN_A_DIMPLE: Partial<Record<Finding, { cause: string; remedy: string }>> = {
  'not-flush-high': {
    cause: 'dimple not formed, head not seated, a gap, or the wrong dies',
    remedy: 'replace; check dimple, gap and dies first'
  },
  'not-flush-low': {
    cause: 'dimple over-formed or stretched: it cannot be undone',
    remedy: 'refer to engineering'
  }
};
/** Where nothing says what the head lies in. */
const UNKNOWN_SEAT: typeof IN_A_DIMPLE = {
  'not-flush-high': {
    cause: 'countersink too shallow, or dimple not formed',
    remedy: 'replace; check countersink or dimple first'
  },
  'not-flush-low': {
    cause: 'countersink too deep, or dimple stretched: it cannot be undone',
    remedy: 'refer to engineering'
  }
};

/** Cause and remedy of a finding, by what the head lies in. */
export const findingNote = (
  finding: Finding,
  seat: HeadSeat | null
): { where: string; cause: string; remedy: string } => ({
  ...FINDING_NOTES[finding],
  ...(seat === 'dimpled' ? IN_A_DIMPLE : seat === null ? UNKNOWN_SEAT : {})[finding]
});

function reasonInWords(said: ReasonSaid, seat: HeadSeat | null, length: WriteLength): string {
  if (said.code === 'found')
    return `${FINDING_NAMES[said.finding]}: ${findingNote(said.finding, seat).cause}`;
  const { valueD, lowD, highD, way, place, diameterIn } = said;
  const both = (multiple: number) => `${length(multiple * diameterIn)} (${multiple.toFixed(2)} D)`;
  const measured = `${length(valueD * diameterIn)} ${way} (${valueD.toFixed(2)} D)`;
  if (place === 'under') return `${measured}, minimum ${both(lowD)}`;
  if (place === 'over') return `${measured}, maximum ${both(highD)}`;
  return `${measured}, inside ${both(lowD)} to ${both(highD)}`;
}

/** What now where no finding says so: a good head, or one that its batch or somebody’s word condemns. */
const WITHOUT_FINDING: Record<Exclude<HeadVerdict, 'measure'>, string> = {
  'not-complete': 'Inspect what is missing.',
  accept: `Good head: nominal is 1.5 D wide, ${NOMINAL_HEIGHT_D} D high.`,
  'drive-more': 'Drive it further.',
  replace: 'Replace the rivet.',
  refer: 'Refer to engineering.'
};

/** Why a head is judged as it is, and what now: nothing for a good one, except where a wide one passes on a condition. */
export const reportInWords = (
  { reasons, findings }: Pick<HeadReport, 'reasons' | 'findings'>,
  length: WriteLength,
  verdict: HeadVerdict = 'accept',
  seat: HeadSeat | null = null
): { reasons: string[]; doNow: string[] } => ({
  reasons: reasons.map((said) => reasonInWords(said, seat, length)),
  doNow:
    verdict === 'measure'
      ? [
          'Measure again, with calipers if there is access. Do not replace the rivet on this reading alone.'
        ]
      : findings.length === 0
        ? [WITHOUT_FINDING[verdict]]
        : [...new Set(findings.map((finding) => findingNote(finding, seat).remedy))].map(
            (remedy) => `${sentence(remedy)}.`
          )
});

/** Where a head's metal is. */
export function metalInWords({ share, meaning }: MetalAccount): string {
  const percent = `${Math.round(share * 100)} % of predicted volume`;
  return {
    ordinary: `${percent}: normal.`,
    lost: `${percent}: low. Check for a gap, oversize hole or short rivet.`,
    longer: `${percent}: high. The rivet was longer than planned.`,
    'row-lost': `${percent}: like the whole row. Check the row first.`,
    'row-longer': `${percent}: like the whole row. Check the row first.`
  }[meaning];
}

/** What is looked at where a head passes on a condition. */
export const LOOKS: Record<Look, string> = {
  straight: 'it sits straight',
  flat: 'the sheets are flat'
};

/** What a row's heads have in common, said once for the row. */
export const rowInWords = (
  row: number,
  share: number,
  meaning: 'row-lost' | 'row-longer'
): { title: string; text: string } => ({
  title: `Row ${row}: ${Math.round(share * 100)} % of the metal that was predicted, head for head`,
  text:
    meaning === 'row-lost'
      ? 'All alike: not the driving. Check rivet length, hole size and gaps between sheets.'
      : 'All alike: not the driving. Check rivet length and sheet thickness.'
});

export const PLACE_WORDS: Record<Place, string> = {
  manufactured: 'manufactured head',
  shop: 'shop head',
  sheet: 'sheet'
};

/** Where a driven rivet is looked at. */
export const INSPECTION_WORDS: Record<InspectionPlace, string> = {
  ...PLACE_WORDS,
  flush: 'flushness'
};
/** What still has to be looked at before an inspection is complete. */
export const missingInWords = (missing: readonly InspectionPlace[]): string =>
  missing.map((place) => INSPECTION_WORDS[place]).join(', ');

/** What divides what may stay from what may not, before one says that it was found. */
export function thresholdInWords(
  flag: SeenFlag,
  { tiltIn, coverIn, smileIn, feelerIn }: FindingLimits,
  flush: FlushLimits | null,
  length: WriteLength
): string {
  switch (flag) {
    case 'cracked':
      return 'any crack: replace';
    case 'clinched':
      return 'folded over: replace';
    case 'tilted':
      return `accept up to ${length(tiltIn)} height difference; replace above`;
    case 'off-centre':
      return `the head covers the hole by ${length(coverIn)} all round: leave it. Less: replace`;
    case 'bar-mark':
      return 'a mark that does not cut: dress it. A cut: replace';
    case 'open-head':
      return `accept if a ${length(feelerIn)} feeler does not reach the shank; otherwise replace`;
    case 'smile':
      return `up to ${length(smileIn)} deep: blend out; deeper: replace`;
    case 'swelled-between':
      return 'sheets held apart by the shank: replace';
    case 'not-flush-high':
      return flush ? `over +${length(flush.highIn)}: replace` : 'over its limit: replace';
    case 'ring-mark':
      return 'shallow: dress it. Else refer';
    case 'bar-dent':
      return 'any dent in the sheet: refer';
    case 'distorted':
      return 'sheet bulged or drawn in: refer';
    case 'dimple-crack':
      return 'any crack at the dimple: refer';
    case 'not-flush-low':
      return flush ? `under ${length(flush.lowIn)}: refer` : 'under its limit: refer';
  }
}

export const CANNOT_TELL: Record<CannotTell, string> = {
  'short-of-metal': 'head volume',
  'over-driven': 'overdriven',
  'too-wide': 'too wide',
  'too-high': 'too high',
  'too-narrow': 'too narrow for these limits',
  'too-low': 'too low for these limits',
  'too-long': 'under 2 D wide',
  'not-flush-high': 'too high above the skin',
  'not-flush-low': 'too low below the skin',
  'within-uncertainty': 'side of the limit'
};

export const CAUSE_WORDS: Record<Cause, string> = {
  'stopped-early': 'stopped early',
  'low-air': 'low air',
  'too-long-a-burst': 'too long a burst',
  'squeezer-closed-too-far': 'squeezer closed too far',
  'rivet-short': 'rivet too short',
  'hole-large': 'hole too large',
  gap: 'metal in a gap between the sheets',
  'rivet-long': 'rivet too long',
  'bar-not-square': 'bar not square',
  'setting-moved': 'tool setting moved or never qualified',
  'row-alike': 'its whole row is alike: the length used, or the holes',
  'cold-time-passed': 'driven after its icebox time'
};

/** Why a head comes next. */
export function nextInWords({
  next,
  reason,
  near,
  missing
}: Pick<NextHead, 'next' | 'reason' | 'near' | 'missing'>): string {
  if (next === null || reason === null) return 'No inspections due.';
  if (missing.length > 0 && (reason === 'plan' || reason === 'near-a-bad-one'))
    return `Hole ${next}: ${missingInWords(missing)} not inspected yet`;
  switch (reason) {
    case 'again-replaced':
      return `Hole ${next}: new rivet`;
    case 'again-driven':
      return `Hole ${next}: driven further since last inspection`;
    case 'again-logged':
      return `Hole ${next}: inspected before its driving was logged`;
    case 'again-measure':
      return `Hole ${next}: last inspection inconclusive, measure it`;
    case 'near-a-bad-one':
      return near === null
        ? `Hole ${next}: next to a rejected head`
        : `Hole ${next}: near hole ${near} in the driving order, which was rejected`;
    case 'plan':
      return `Hole ${next}: sampling plan`;
  }
}

/** What a joint’s own limits of heads want before they count. */
export const OWN_LIMITS_MISSING = {
  figures: 'Enter minimum and maximum diameter and height, in D.',
  order: 'A minimum must be below its maximum. Check the four values.',
  reference: 'Enter the source document.'
} as const;
