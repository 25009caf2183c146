import type { GripRange, OpenBlind } from '../../core/plan/open-blind.ts';
import type { BlindOnRecord, BlindStanding } from '../../core/reworking/blind-rivets.ts';
import type { BlindFinding } from '../../core/reworking/rework-moves.ts';
import type { PlanWarningSaid } from '../../core/plan/warning-said.ts';
import { asRanges } from '../../core/units/ranges.ts';
import type { WriteLength } from './writing.ts';

/** What is wrong with a blind rivet, as one sees it from the face. */
export const BLIND_FINDINGS: Record<BlindFinding, string> = {
  'head-gap': 'head not seated',
  'stem-high': 'stem broken above the head',
  'stem-loose': 'stem loose or missing',
  ring: 'locking ring missing or high',
  'sheets-apart': 'gap between sheets, or rivet turns'
};

export const BLIND_STANDINGS: Record<BlindStanding, string> = {
  'not-in': 'not installed',
  'not-inspected': 'installed, not inspected',
  good: 'accepted',
  bad: 'replace: remove the stem first'
};

export const blindFoundInWords = ({
  found,
  note
}: {
  found: readonly BlindFinding[];
  note: string;
}): string =>
  [
    found.length === 0 ? 'nothing found' : found.map((one) => BLIND_FINDINGS[one]).join(', '),
    ...(note === '' ? [] : [note])
  ].join('; ');

const gripInWords = ({ leastIn, mostIn, over }: GripRange, length: WriteLength): string =>
  `grip ${over ? `over ${length(leastIn)} up to` : `${length(leastIn)} to`} ${length(mostIn)}`;

/** Its hole and the sheets it holds. */
export const blindInWords = ({ fastener, drillIn, grip }: OpenBlind, length: WriteLength): string =>
  [
    fastener,
    drillIn === null ? 'drill not entered' : `hole ${length(drillIn)}`,
    grip === null ? 'grip range not entered' : gripInWords(grip, length)
  ].join(', ');

/** What stands against a blind rivet where it is planned. */
export function openBlindText(
  said: Extract<PlanWarningSaid, { code: 'open-blind' }>,
  length: WriteLength
): { title: string; text: string } {
  const { fastener, sheetsIn, grip, why } = said;
  const where = `hole ${asRanges(said.holes)}`;
  const sheets = length(sheetsIn);
  switch (why) {
    case 'short':
    case 'long':
      return {
        title: `${fastener} does not fit the sheets at ${where}`,
        text: `Stack-up ${sheets}, ${grip ? gripInWords(grip, length) : 'grip range not entered'}. Select a ${why === 'short' ? 'longer' : 'shorter'} blind rivet.`
      };
    case 'grip-unknown':
      return {
        title: `No grip range for ${fastener}`,
        text: `Enter the grip range at ${where} from the maker’s sheet. The stack-up there is ${sheets}.`
      };
    case 'no-drill':
      return {
        title: `No drill for ${fastener}`,
        text: `Enter the drill at ${where}. Until then the hole stays at pilot size.`
      };
    case 'other-drill':
      return {
        title: `Unusual drill for ${fastener}`,
        text: `Check the drill at ${where} against the data for this blind rivet.`
      };
  }
}

/** What a record says of it. */
export const blindOnRecordInWords = (
  { standing, lot, putInBy, putInAt, inspectedBy, ...blind }: BlindOnRecord,
  when: (at: string) => string,
  length: WriteLength
): string =>
  [
    `Blind rivet: ${blindInWords(blind, length)}`,
    ...(putInBy === null || putInAt === null
      ? []
      : [
          `installed by ${putInBy}, ${when(putInAt)}, ${lot === '' ? 'lot not recorded' : `lot ${lot}`}`
        ]),
    `${BLIND_STANDINGS[standing]}${inspectedBy.length > 0 ? ` (${inspectedBy.join(', ')})` : ''}`,
    'not in the joint strength or the counts'
  ].join('; ');
