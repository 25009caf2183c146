import type { Finding, Look } from '../../core/check/findings.ts';
import type { HeadReport, MetalAccount, ReasonSaid } from '../../core/check/head-report.ts';
import { NOMINAL_HEIGHT_D } from '../../core/catalog/head-limits.ts';
import { sentence, type WriteLength } from './writing.ts';

/** What each finding is called at the bench. */
export const FINDING_NAMES: Record<Finding, string> = {
  'under-driven': 'under-driven',
  'over-driven': 'over-driven',
  'short-of-metal': 'short of metal',
  'too-long': 'too long',
  cracked: 'cracked',
  clinched: 'clinched',
  tilted: 'tilted',
  'off-centre': 'off center',
  'bar-mark': 'bar cut',
  'open-head': 'open head',
  smile: 'smile',
  'swelled-between': 'swelled between sheets',
  'not-flush-high': 'head high',
  'ring-mark': 'ring mark',
  'bar-dent': 'bar dent',
  distorted: 'distorted sheet',
  'dimple-crack': 'cracked dimple',
  'not-flush-low': 'head low'
};

/** Where to look, the usual cause and what is done about each finding (handbook 4.6). */
export const FINDING_NOTES: Record<Finding, { where: string; cause: string; remedy: string }> = {
  'under-driven': {
    where: 'shop head',
    cause: 'stopped early, or low air',
    remedy: 'drive more: one short burst, then measure again'
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
    remedy: 'accept only while it sits straight and the sheets are flat; else a shorter rivet'
  },
  cracked: {
    where: 'shop head',
    cause: 'hard rivet (cold time passed), or worked too long',
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
    remedy: 'refer; the next size may be the way out'
  }
};

function reasonInWords(said: ReasonSaid, length: WriteLength): string {
  if (said.code === 'found')
    return `${FINDING_NAMES[said.finding]}: ${FINDING_NOTES[said.finding].cause}`;
  const { valueD, lowD, highD, way, place, diameterIn } = said;
  const both = (multiple: number) => `${length(multiple * diameterIn)} (${multiple.toFixed(2)} D)`;
  const measured = `${length(valueD * diameterIn)} ${way} (${valueD.toFixed(2)} D)`;
  if (place === 'under') return `${measured}, ${both(lowD)} is the least`;
  if (place === 'over') return `${measured}, ${both(highD)} is the most`;
  return `${measured}, inside ${both(lowD)} to ${both(highD)}`;
}

/** Why a head is judged as it is, and what now: nothing for a good one, except where a wide one passes on a condition. */
export const reportInWords = (
  { reasons, findings }: Pick<HeadReport, 'reasons' | 'findings'>,
  length: WriteLength
): { reasons: string[]; doNow: string[] } => ({
  reasons: reasons.map((said) => reasonInWords(said, length)),
  doNow:
    findings.length === 0
      ? [`Good head: nominal is 1.5 D wide, ${NOMINAL_HEIGHT_D} D high.`]
      : [...new Set(findings.map((finding) => FINDING_NOTES[finding].remedy))].map(
          (remedy) => `${sentence(remedy)}.`
        )
});

/** Where a head's metal is. */
export function metalInWords({ share, meaning }: MetalAccount): string {
  const percent = `${Math.round(share * 100)} % of the predicted head`;
  return {
    ordinary: `${percent}: ordinary, the metal is there.`,
    lost: `${percent}: metal went elsewhere. Look for a gap, an oversize hole or a shorter rivet.`,
    longer: `${percent}: a longer rivet than planned was used.`,
    'row-lost': `${percent}: as its whole row, so look at the row first.`,
    'row-longer': `${percent}: as its whole row, so look at the row first.`
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
      ? 'All alike, so it is not the driving: look at the length used, at the size of the holes, and at gaps between the sheets.'
      : 'All alike, so it is not the driving: look at the length used and at the thickness of the sheets.'
});
