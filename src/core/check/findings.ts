import { z } from 'zod';

export const Verdict = z.enum(['accept', 'drive-more', 'replace', 'refer']);
/** What to do with a driven rivet, mildest first. */
export type Verdict = z.infer<typeof Verdict>;

export const MeasuredFinding = z.enum([
  'under-driven',
  'over-driven',
  'short-of-metal',
  'too-long'
]);
export type MeasuredFinding = z.infer<typeof MeasuredFinding>;

export const SeenFlag = z.enum(
  [
    'cracked',
    'clinched',
    'tilted',
    'off-centre',
    'bar-mark',
    'open-head',
    'smile',
    'swelled-between',
    'not-flush-high',
    'ring-mark',
    'bar-dent',
    'distorted',
    'dimple-crack',
    'not-flush-low'
  ],
  { error: (issue) => `"${String(issue.input)}" is not a finding the eye can report here` }
);
/** What the eye saw, beyond dressing. */
export type SeenFlag = z.infer<typeof SeenFlag>;

const REFERRED: ReadonlySet<SeenFlag> = new Set<SeenFlag>([
  'ring-mark',
  'bar-dent',
  'distorted',
  'dimple-crack',
  'not-flush-low'
]);

/** The disposition of a flag by itself (handbook 4.6). */
export const flagVerdict = (flag: SeenFlag): Verdict => (REFERRED.has(flag) ? 'refer' : 'replace');

/** @returns the graver of two verdicts: refer > replace > drive-more > accept */
export const graver = (a: Verdict, b: Verdict): Verdict =>
  Verdict.options.indexOf(a) >= Verdict.options.indexOf(b) ? a : b;

export type Finding = MeasuredFinding | SeenFlag;

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
    cause:
      'gun pressure too low, hole out of square, or a burr: a 0.003 in feeler reaches the shank',
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
