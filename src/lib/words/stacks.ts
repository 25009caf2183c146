import type { CandidateLength } from '../../core/stack/candidate-lengths.ts';
import type { CauseSaid } from '../../core/stack/measured-protrusion.ts';
import { hundredths, type WriteLength } from './writing.ts';

/** What would explain a grip that differs from the stack's. */
export function causeInWords(said: CauseSaid, length: WriteLength): string {
  switch (said.code) {
    case 'film':
      return `film is still on ${said.sheets === 1 ? 'one sheet' : `${said.sheets} sheets`}, up to ${length(said.upToIn, 'fine')}: peel it and measure again`;
    case 'between':
      return 'chips, a burr or a gap between the sheets: take apart, clean, pull together';
    case 'one-more':
      return `one more layer, as thick as ${said.like}`;
    case 'sealant':
      return 'sealant or primer not entered';
    case 'not-here':
      return `${said.name} does not reach this hole`;
    case 'thinner':
      return 'a sheet is thinner than typed: measure each';
    case 'head-off':
      return 'the head does not sit on the sheet: that reads as a thinner stack';
    case 'other-length':
      return `the rivet measured is ${length(said.byIn)} ${said.shorter ? 'shorter' : 'longer'} than its part number: check the bin`;
  }
}

function riskInWords({ risk, verdict }: Pick<CandidateLength, 'risk' | 'verdict'>): string {
  const good = verdict === 'good';
  if (risk === 'short')
    return good
      ? 'a little short: stop early, the head is the smaller'
      : 'short: undersize shop head';
  if (risk === 'long')
    return good
      ? 'slightly long: fills well, clinches more easily'
      : 'long: clinches or spreads too wide';
  return '1½ D: nominal';
}

/** Why a length is judged as it is, and what it risks against the ideal. */
export function lengthVerdictInWords(
  one: Pick<CandidateLength, 'against' | 'risk' | 'verdict'>
): string {
  const { against } = one;
  const risk = riskInWords(one);
  if (against === null) return risk;
  if (against.code === 'outside')
    return `${hundredths(against.protrusionD)} D, must be over ${against.overD} and under ${against.underD} D; ${risk}`;
  const { diameterD, heightD } = against;
  return `at no height both ${diameterD.low}–${diameterD.high} D wide and ${heightD.low}–${heightD.high} D high; ${risk}`;
}
