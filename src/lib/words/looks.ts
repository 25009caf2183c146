import { isBad } from '../../core/inspect/findings.ts';
import type { HeadStanding } from '../../core/inspect/head-standing.ts';
import type { HeadJudged } from '../../core/inspect/head-judged.ts';
import { verdictOfLook, type HoleLook } from '../../core/inspect/hole-look.ts';
import type { HeadReport } from '../../core/inspect/head-report.ts';
import { CANNOT_TELL, FINDING_NAMES, findingNote, missingInWords, reportInWords } from './heads.ts';
import { RESULT_NAMES } from './results.ts';
import { sentence, type WriteLength } from './writing.ts';

/** What one look by itself came to, as tables and files have it. */
export function lookSaid(
  look: Pick<HoleLook, 'kind' | 'flush' | 'id'>,
  frozen: HeadJudged,
  voided: ReadonlyMap<string, unknown>
): string {
  if (voided.has(look.id)) return 'voided';
  const verdict = verdictOfLook(look, frozen);
  return verdict === null ? 'clean there' : RESULT_NAMES[verdict];
}

/** What a head comes to beyond its last look: the look that governs, and what is missing. */
export function standingInWords(
  { verdict, missing, decisive }: Pick<HeadStanding, 'verdict' | 'missing' | 'decisive'>,
  own: boolean,
  length: WriteLength
): string[] {
  return [
    ...(own || !isBad(verdict)
      ? []
      : [
          `Inspection by ${decisive.by} governs: ${lookInWords(decisive.frozen, null, length).join('; ')}`
        ]),
    ...(verdict === 'not-complete' ? [`Not inspected yet: ${missingInWords(missing)}`] : [])
  ];
}

/** Why a look was judged as it was: its figures where there are any, its findings, and what it leaves open. */
export function lookInWords(
  { findings, cannotTell, seat }: HeadJudged,
  report: HeadReport | null,
  length: WriteLength
): string[] {
  const measured = report === null ? [] : reportInWords(report, length, 'accept', seat).reasons;
  const said = new Set(report?.findings ?? []);
  return [
    ...measured,
    ...findings
      .filter((finding) => !said.has(finding))
      .map((finding) => `${FINDING_NAMES[finding]}: ${findingNote(finding, seat).cause}`),
    ...(cannotTell.length > 0
      ? [`${sentence('not determined')}: ${cannotTell.map((one) => CANNOT_TELL[one]).join('; ')}`]
      : [])
  ];
}
