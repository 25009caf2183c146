import type { HeadJudged } from '../../core/check/head-judged.ts';
import type { HeadReport } from '../../core/check/head-report.ts';
import { CANNOT_TELL, FINDING_NAMES, findingNote, reportInWords } from './heads.ts';
import { sentence, type WriteLength } from './writing.ts';

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
      ? [`${sentence('not told')}: ${cannotTell.map((one) => CANNOT_TELL[one]).join('; ')}`]
      : [])
  ];
}
