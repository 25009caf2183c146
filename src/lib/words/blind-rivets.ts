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
  'sheets-apart': 'sheets apart, or it turns'
};

export const BLIND_STANDINGS: Record<BlindStanding, string> = {
  'not-in': 'not put in',
  'not-inspected': 'put in, not inspected',
  good: 'inspected, nothing found',
  bad: 'take it out, stem first'
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
    drillIn === null ? 'no drill named' : `hole ${length(drillIn)}`,
    grip === null ? 'its grip range not entered' : gripInWords(grip, length)
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
        text: `The sheets come to ${sheets}; its ${grip ? gripInWords(grip, length) : 'grip is not known'}. A grip range is never stretched: take a ${why === 'short' ? 'longer' : 'shorter'} one.`
      };
    case 'grip-unknown':
      return {
        title: `No grip range for ${fastener}`,
        text: `Enter it at ${where} from its maker’s sheet; the sheets there come to ${sheets}. Without it nobody knows whether it holds them.`
      };
    case 'no-drill':
      return {
        title: `No drill for ${fastener}`,
        text: `Name its own drill at ${where}: the hole stays at the pilot until then.`
      };
    case 'other-drill':
      return {
        title: `Another drill than usual for ${fastener}`,
        text: `Look at the drill at ${where} again, or drill it by the data that name it.`
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
      : [`put in by ${putInBy}, ${when(putInAt)}, ${lot === '' ? 'lot not told' : `lot ${lot}`}`]),
    `${BLIND_STANDINGS[standing]}${inspectedBy.length > 0 ? ` (${inspectedBy.join(', ')})` : ''}`,
    'in no strength and no count of the plan'
  ].join('; ');
