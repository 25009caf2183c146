import { whenUtc } from './when.ts';
import { blindFoundInWords } from './blind-rivets.ts';
import type { CarriedFrom } from '../../core/events/stream.ts';
import type { HoleEvent } from '../../core/inspect/hole-events.ts';
import type { HoleLook } from '../../core/inspect/hole-look.ts';
import type { DriveFrozen } from '../../core/driving/drive-events.ts';
import type { DriveMove } from '../../core/driving/drive-move.ts';
import type { ReworkFrozen } from '../../core/reworking/rework-subject.ts';
import type { ReworkMove } from '../../core/reworking/rework-moves.ts';
import { PLACE_WORDS } from './heads.ts';
import { lookInWords } from './looks.ts';
import { decisionInWords, HOW_OUT, REMOVAL_SCHOOLS, REWORK_STEPS } from './rework.ts';
import { OBJECTION_ANSWERS, objectionNamed } from './objections.ts';
import { counted, type WriteLength } from './writing.ts';

/** What one entry of the rework log says, without who and when. */
export function reworkEventInWords(
  move: ReworkMove,
  frozen: ReworkFrozen,
  length: WriteLength
): string {
  switch (move.kind) {
    case 'out':
      return `rivet ${move.hole} removed (${REMOVAL_SCHOOLS[move.school].name}; ${HOW_OUT[move.how]})${move.note === '' ? '' : `: ${move.note}`}`;
    case 'still-in':
      return `rivet ${move.hole} is still in; its removal was logged by mistake`;
    case 'measured': {
      const said = frozen ? decisionInWords(frozen, length) : null;
      return `hole ${move.hole} is ${length(move.widestIn)} at its widest: ${said ? `${said.title}; ${said.why}` : ''}`;
    }
    case 'voided':
      return `a reading of hole ${move.hole} voided: ${move.why}`;
    case 'voided-look':
      return `inspection of hole ${move.hole} voided: ${move.why}`;
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
  carried === undefined
    ? ''
    : `carried forward from release ${carried.release}, hole ${carried.hole}`;

/** What one entry of the driving log says, without its hole, who and when. */
export function driveMoveInWords(
  move: DriveMove,
  /** what stands beside it once it is stored */
  stored: { frozen: DriveFrozen; by: string } | null,
  lotOf: (batch: string) => string | null,
  length: WriteLength
): string {
  switch (move.kind) {
    case 'driven': {
      const frozen = stored?.frozen;
      const lot = move.batch === null ? null : lotOf(move.batch);
      return [
        frozen?.partNumber ? `driven: ${frozen.partNumber}` : 'driven',
        ...(move.stated === undefined
          ? []
          : [`at ${whenUtc(move.stated)}, stated by ${stored?.by ?? 'the person who logged it'}`]),
        ...(lot === null ? [] : [`out of the icebox, lot ${lot}`]),
        ...(move.late === '' ? [] : [`its batch had expired: ${move.late}`]),
        ...(frozen?.unconfirmed ? [`gun or bar named by ${stored?.by}, not confirmed`] : []),
        ...(move.quick === null ? [] : [QUICK[move.quick]]),
        ...(move.carried ? [carriedInWords(move.carried)] : [])
      ].join('; ');
    }
    case 'undriven':
      return 'entry reversed: not driven';
    case 'looked':
      return `quick check: ${QUICK[move.quick]}`;
    case 'seen':
      return `by camera: ${length(move.diameterIn)} ± ${length(move.plusMinusIn)} wide${move.simulated ? '; simulated camera (practice)' : ''}`;
    case 'ordered':
      return 'an order of driving';
    case 'placed':
      return 'access to the rivets';
    case 'objected':
      return `what is not met: ${objectionNamed(move.key)}, ${OBJECTION_ANSWERS[move.answer]}`;
    case 'confirmed':
      return `gun or bar held at ${counted(move.taps.length, 'rivet')}`;
    case 'loaded':
      return `the lot of ${move.part}`;
  }
}
const QUICK = {
  good: 'quick check: good',
  more: 'drive further',
  again: 'flagged'
} as const;

/** A look at a head, before or after the server has judged it. */
type Told = HoleLook & { frozen?: HoleEvent['frozen'] };

/** How a head was looked at, and what it measured. */
export function readingInWords(look: Told, length: WriteLength): string {
  const taken = look.carried ? `; ${carriedInWords(look.carried)}` : '';
  const on = look.drivenOn ? 'driven further, then ' : '';
  const clean = look.clean?.length
    ? `; clean: ${look.clean.map((place) => PLACE_WORDS[place]).join(', ')}`
    : '';
  return `${on}${wayInWords(look, length)}${clean}${taken}`;
}

function wayInWords(look: Told, length: WriteLength): string {
  switch (look.kind) {
    case 'checked': {
      const { diameterD = null, heightD = null } = look.frozen ?? {};
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
      return `gauge plate ${look.plate.name}`;
    case 'eyed':
      return 'visual';
  }
}

/** Why a look came to its verdict, where its own findings say so. */
export const lookReasons = (look: HoleEvent, length: WriteLength): string =>
  lookInWords(look.frozen, null, length).join('; ');
