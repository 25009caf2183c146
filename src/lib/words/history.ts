import { blindFoundInWords } from './blind-rivets.ts';
import type { CarriedFrom } from '../../core/events/stream.ts';
import type { HoleEvent } from '../../core/check/hole-events.ts';
import type { DriveEvent } from '../../core/driving/drive-events.ts';
import type { ReworkFrozen } from '../../core/reworking/rework-events.ts';
import type { ReworkMove } from '../../core/reworking/rework-moves.ts';
import { PLACE_WORDS } from './heads.ts';
import { lookInWords } from './looks.ts';
import { decisionInWords, HOW_OUT, REMOVAL_SCHOOLS, REWORK_STEPS } from './rework.ts';
import type { WriteLength } from './writing.ts';

/** What one entry of the rework log says, without who and when. */
export function reworkEventInWords(
  move: ReworkMove,
  frozen: ReworkFrozen,
  length: WriteLength
): string {
  switch (move.kind) {
    case 'out':
      return `rivet ${move.hole} taken out (${REMOVAL_SCHOOLS[move.school].name}; ${HOW_OUT[move.how]})${move.note === '' ? '' : `: ${move.note}`}`;
    case 'still-in':
      return `rivet ${move.hole} is still in; its removal was logged by mistake`;
    case 'measured': {
      const said = frozen ? decisionInWords(frozen, length) : null;
      return `hole ${move.hole} is ${length(move.widestIn)} at its widest: ${said ? `${said.title}; ${said.why}` : ''}`;
    }
    case 'voided':
      return `a reading of hole ${move.hole} voided: ${move.why}`;
    case 'voided-look':
      return `a look at head ${move.hole} voided: ${move.why}`;
    case 'step':
      return `hole ${move.hole}: ${REWORK_STEPS[move.step].done}${move.done ? '' : ', taken back'}`;
    case 'blind-in':
      return `blind rivet installed in hole ${move.hole}${move.lot === '' ? ', lot not recorded' : `, lot ${move.lot}`}`;
    case 'blind-out':
      return `blind rivet removed from hole ${move.hole}: ${move.why}`;
    case 'blind-looked':
      return `blind rivet of hole ${move.hole} inspected: ${blindFoundInWords(move)}`;
    case 'referred':
      return `referred${move.hole === null ? '' : `, hole ${move.hole}`}${move.instead ? ', instead of replacing it' : ''}: ${move.question}`;
    case 'answered':
      return `answered by ${move.answeredBy} on ${move.authority}: ${move.answer}${
        move.then.what === 'blind'
          ? `; ${move.then.blind.fastener}, drill ${length(move.then.blind.drillIn)}, grip ${length(move.then.blind.gripIn)}`
          : ''
      }`;
  }
}

/** Who did something, and who sent it where that was another. */
export const whoLogged = ({ by, sentBy }: { by: string; sentBy?: string }): string =>
  sentBy === undefined ? by : `${by}, sent by ${sentBy}`;

/** Where an entry was logged, if not here. */
export const carriedInWords = (carried: CarriedFrom | undefined): string =>
  carried === undefined ? '' : `taken over from release ${carried.release}, hole ${carried.hole}`;

/** What one entry of the driving log says of its hole. */
export function driveEventInWords(
  event: Extract<DriveEvent, { hole: number }>,
  lotOf: (batch: string) => string | null,
  length: WriteLength
): string {
  switch (event.kind) {
    case 'driven': {
      const lot = event.batch === null ? null : lotOf(event.batch);
      return [
        `driven: ${event.frozen.partNumber ?? 'a rivet'}`,
        ...(lot === null ? [] : [`out of the cold, lot ${lot}`]),
        ...(event.frozen.cold === 'expired' ? [`its batch had expired: ${event.late}`] : []),
        ...(event.frozen.unconfirmed ? [`gun or bar named by ${event.by}, not confirmed`] : []),
        ...(event.quick === null ? [] : [QUICK[event.quick]]),
        ...(event.carried ? [carriedInWords(event.carried)] : [])
      ].join('; ');
    }
    case 'undriven':
      return 'taken back: it was not driven';
    case 'looked':
      return `a quick look: ${QUICK[event.quick]}`;
    case 'seen':
      return `by camera: ${length(event.diameterIn)} ± ${length(event.plusMinusIn)} wide${event.simulated ? '; by a simulated camera, which is practice' : ''}`;
  }
}
const QUICK = {
  good: 'good at a quick look',
  more: 'wants more',
  again: 'to be looked at again'
} as const;

/** How a head was looked at, and what it measured. */
export function readingInWords(look: HoleEvent, length: WriteLength): string {
  const taken = look.carried ? `; ${carriedInWords(look.carried)}` : '';
  const on = look.drivenOn ? 'driven further, then ' : '';
  const clean = look.clean?.length
    ? `; clean: ${look.clean.map((place) => PLACE_WORDS[place]).join(', ')}`
    : '';
  return `${on}${wayInWords(look, length)}${clean}${taken}`;
}

function wayInWords(look: HoleEvent, length: WriteLength): string {
  switch (look.kind) {
    case 'checked': {
      const { diameterD, heightD } = look.frozen;
      const inD =
        diameterD === null || heightD === null
          ? ''
          : ` (${diameterD.toFixed(2)} D × ${heightD.toFixed(2)} D)`;
      const how = look.how === undefined ? 'measured' : `measured by ${look.how}`;
      return `${how}: ${length(look.diameterIn)} wide, ${length(look.heightIn)} high${inD}${
        look.simulated ? '; by a simulated device, which is practice' : ''
      }`;
    }
    case 'gauged':
      return `held against plate ${look.plate.name}`;
    case 'eyed':
      return 'by eye';
  }
}

/** Why a look came to its verdict, where its own findings say so. */
export const lookReasons = (look: HoleEvent, length: WriteLength): string =>
  lookInWords(look.frozen, null, length).join('; ');
