import { z } from 'zod';

export const Verdict = z.enum(['accept', 'drive-more', 'replace', 'refer']);
/** What to do with a driven rivet, mildest first. */
export type Verdict = z.infer<typeof Verdict>;

export const LookVerdict = z.enum(['accept', 'measure', 'drive-more', 'replace', 'refer']);
/** What a look comes to: a verdict, or that it does not tell and the head is measured. */
export type LookVerdict = z.infer<typeof LookVerdict>;

export const HeadVerdict = z.enum([
  'accept',
  'not-complete',
  'measure',
  'drive-more',
  'replace',
  'refer'
]);
/** What every look at a rivet comes to together: a verdict, or good as far as it was looked at, with places missing. */
export type HeadVerdict = z.infer<typeof HeadVerdict>;

/** Verdicts of a head that cannot stay as it is. */
const BAD: ReadonlySet<HeadVerdict> = new Set<HeadVerdict>(['drive-more', 'replace', 'refer']);
export const isBad = (verdict: HeadVerdict): boolean => BAD.has(verdict);

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
  {
    error: (issue) =>
      typeof issue.input === 'string'
        ? `"${issue.input.slice(0, 40)}" is not a finding the eye can report here`
        : 'a finding is one of those the eye can report'
  }
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

/** The disposition of a flag by itself (inspect). */
export const flagVerdict = (flag: SeenFlag): Verdict => (REFERRED.has(flag) ? 'refer' : 'replace');

/** @returns the graver of two verdicts: refer > replace > drive-more > accept; not knowing comes before good only */
export const graver = <V extends LookVerdict>(a: V, b: V): V =>
  LookVerdict.options.indexOf(a) >= LookVerdict.options.indexOf(b) ? a : b;

export const Finding = z.union([MeasuredFinding, SeenFlag]);
export type Finding = MeasuredFinding | SeenFlag;

export const Place = z.enum(['manufactured', 'shop', 'sheet']);
/** Where a driven rivet is looked at, in turn (inspect). */
export type Place = z.infer<typeof Place>;

export const Look = z.enum(['straight', 'flat']);
/** What must be looked at before a head that is a little long counts as good: it sits straight, the sheets are flat. */
export type Look = z.infer<typeof Look>;

/** What a head that passes on a condition asks to be looked at; empty for every other. */
export const looksAsked = ({
  verdict,
  findings
}: {
  verdict: LookVerdict;
  findings: readonly Finding[];
}): readonly Look[] => (verdict === 'accept' && findings.includes('too-long') ? Look.options : []);
