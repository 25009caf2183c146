import type { StageMark } from '../../core/releases/stages-so-far.ts';

/** What the chips of the Jobs page ask for. */
export const CHIPS = ['mine', 'bad', 'to-drive', 'to-inspect', 'to-sign', 'signed'] as const;
export type Chip = (typeof CHIPS)[number];

/** One joint in the list of jobs. */
export interface JointLine {
  id: string;
  title: string;
  /** what it is made of, or why that is not known */
  parts: string;
  /** how far it is at its seven stages, one letter each (`STAGE_LETTERS`) */
  stages: string;
  /** the chips that it stands under, by their place among them */
  chips: string;
  /** how far its driving and inspection are; empty before there is a release, and after it is signed */
  far: string;
  /** what somebody has to see to */
  needs: string[];
  /** when it was saved last, ms since 1970 */
  savedMs: number;
}

export interface JobLine {
  id: string;
  number: string;
  title: string;
  place: string;
  data: string;
  practice: boolean;
  joints: JointLine[];
}

const LETTERS: Readonly<Record<StageMark, string>> = {
  done: 'd',
  begun: 'b',
  blocked: 'x',
  'not-begun': '-'
};
/** Seven marks as they go over the wire, and back. */
export const stageLetters = (marks: readonly StageMark[]): string =>
  marks.map((mark) => LETTERS[mark]).join('');
export const stagesOf = (letters: string): StageMark[] =>
  [...letters].map(
    (letter) =>
      (Object.keys(LETTERS) as StageMark[]).find((mark) => LETTERS[mark] === letter) ?? 'not-begun'
  );

/** Chips as they go over the wire, and back. */
export const chipDigits = (chips: readonly Chip[]): string =>
  chips.map((chip) => CHIPS.indexOf(chip)).join('');
export const hasChip = ({ chips }: Pick<JointLine, 'chips'>, chip: Chip): boolean =>
  chips.includes(String(CHIPS.indexOf(chip)));

/** The addresses and names of the stages, in order; a test holds them against the stages themselves. */
export const STAGES = [
  ['size', 'Size'],
  ['layout', 'Layout'],
  ['stack-up', 'Stack-up'],
  ['prepare', 'Prepare'],
  ['drive', 'Drive'],
  ['inspect', 'Inspect'],
  ['sign', 'Sign']
] as const;

/** Of its steps a list knows only whether any was done. */
const PREPARE = 3;

/** Where a joint is gone on with: at what is blocked, else at what is begun, else at the first stage that is not done. */
export function stageToOpen(marks: readonly StageMark[]): string {
  const at = [
    marks.indexOf('blocked'),
    marks.indexOf('begun', PREPARE + 1),
    marks.findIndex((mark, stage) => mark !== 'done' && stage !== PREPARE)
  ].find((stage) => stage >= 0);
  return (STAGES[at ?? STAGES.length - 1] ?? STAGES[0])[0];
}
