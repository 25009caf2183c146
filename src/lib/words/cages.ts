import type { Doubt, FalseReading } from '../../core/prepare/cage/doubts.ts';
import type { CageGuide, GuideSaid } from '../../core/prepare/cage/guide.ts';
import type { RecheckStatus } from '../../core/prepare/cage/rechecks.ts';
import type { FoundSetting } from '../../core/prepare/cage/setting.ts';
import type { CageSetup } from '../../core/prepare/cage/setup.ts';
import type { SetupCheck } from '../../core/prepare/cage/setup-checks.ts';
import { flushRange } from './flush.ts';
import { CAGES } from './pages/cages.ts';
import { refusalInWords } from './refusals.ts';
import { counted, signed, type WriteLength } from './writing.ts';

/** What is measured, by what lies in the cut. */
export const MEASURED: Record<CageSetup['seat'], string> = {
  rivet: 'Head above skin',
  'dimpled-scrap': 'Dimpled coupon above surface'
};

/** Paper that a straightedge is laid over, in (prepare). */
const PAPER_IN = { least: 0.003, most: 0.004 };

/** How it is measured. */
export const howToMeasure = (seat: CageSetup['seat'], length: WriteLength): string =>
  seat === 'rivet'
    ? `Press until the cutter stops cutting, insert the rivet, measure with a depth gauge or a straightedge over paper of ${length(PAPER_IN.least, 'fine')} to ${length(PAPER_IN.most, 'fine')}.`
    : 'Press until the cutter stops cutting, press the dimpled coupon in, measure its face above the coupon, and subtract its thickness. It cannot read below 0: stop at the first good reading.';

/** What to do, and why. */
interface SayWhy {
  say: string;
  why: string;
}

function guideOf(said: GuideSaid, length: WriteLength): SayWhy {
  const at = (lengthIn: number) => signed(lengthIn, length);
  switch (said.state) {
    case 'first':
      return said.rememberedClicks === null
        ? {
            say: 'Set the stop countersink shallow. Cut one hole in the coupon.',
            why: 'New stop countersink: the cutter should just mark the edge of the hole.'
          }
        : {
            say: `Advance to ${said.rememberedClicks} (last setting). Cut one hole in the coupon.`,
            why: 'Verify a saved setting on scrap first.'
          };
    case 'deeper':
      return {
        say: `Set ${said.clicks}: ${counted(said.change, 'click')} deeper.`,
        why: `${at(said.nowIn)} now, ${at(said.predictedIn)} predicted; never past the low limit.`
      };
    case 'more-holes':
      return {
        say: `Leave it at ${said.clicks}. Cut ${said.holesToGo} more ${said.holesToGo === 1 ? 'hole' : 'holes'}.`,
        why: `${at(said.nowIn)} is good; ${said.mustAgree} holes must agree.`
      };
    case 'from-deep':
      return {
        say: `Back off to ${said.backOffTo}, advance to ${said.clicks} and cut a new hole.`,
        why: 'This setting was reached by turning back: thread backlash is on the wrong side.'
      };
    case 'uneven':
      return {
        say: 'Test holes disagree. Find the cause first.',
        why: `${at(said.deepestIn)} to ${at(said.proudestIn)} at one setting. Void the bad reading or start again shallow.`
      };
    case 'unfit':
      return {
        say: 'Do not save yet: readings are inconsistent.',
        why: 'These holes agree with each other, not with earlier ones. Find the cause. Void wrong readings or start again shallow.'
      };
    case 'too-deep':
      return {
        say: `Too deep. Back off to ${said.backOffTo}, advance to ${said.clicks} and cut a new hole.`,
        why: said.ring
          ? 'The shiny ring means too deep. In the real sheet this cannot be undone.'
          : `${at(said.nowIn)} is below the low limit. In the real sheet this could not be undone.`
      };
    case 'stuck':
      return {
        say: `Leave it at ${said.clicks} and finish by hand.`,
        why: `One click more is predicted to reach ${at(said.wouldReachIn)}, below the low limit.`
      };
    case 'set':
      return {
        say: `Set: flush at ${said.clicks} clicks.`,
        why: `${said.holes} holes from ${at(said.deepestIn)} to ${at(said.proudestIn)}, all within the limits.`
      };
  }
}

/** What to do next with a cage, and why. */
export function guideInWords(
  { said, doubted }: Pick<CageGuide, 'said' | 'doubted'>,
  length: WriteLength
): SayWhy {
  const { say, why } = guideOf(said, length);
  return {
    say,
    why: doubted ? `${why} But the readings do not fit: find out why first.` : why
  };
}

/** Why readings are not to be believed as they stand. */
export function doubtInWords(doubt: Doubt, length: WriteLength): string {
  switch (doubt.kind) {
    case 'ring':
      return 'A shiny ring round the rim: too deep already.';
    case 'from-deep':
      return `${doubt.clicks.join(', ')} clicks reached by turning back: thread backlash on the wrong side. Not counted.`;
    case 'uneven':
      return `At ${doubt.clicks} clicks the holes differ by ${length(doubt.apartIn, 'fine')}, more than a click of ${length(doubt.clickIn, 'fine')}.`;
    case 'no-deeper':
      return `${doubt.clicks} clicks changed the cut by ${length(doubt.slopeIn, 'fine')} per click: depth does not follow the setting.`;
    case 'too-steep':
      return `${length(doubt.slopeIn, 'fine')} a click is more than two clicks’ worth: something gives way.`;
    case 'off-line':
      return `${doubt.off} of ${doubt.of} readings ${doubt.off === 1 ? 'lies' : 'lie'} more than a click off the line through all.`;
  }
}

/** What makes a cut or a reading false, and what to do about it. */
export const FALSE_READING_WORDS: Record<FalseReading, { cause: string; look: string }> = {
  pilot: {
    cause: 'The pilot touches the table',
    look: 'Backing deeper than the pilot; then cut again.'
  },
  chuck: {
    cause: 'The stop countersink touches the chuck',
    look: 'Push the cutter’s shank further out of the chuck.'
  },
  'lock-ring': {
    cause: 'The lock ring is loose',
    look: 'Tighten it; the setting may have wandered, so begin again from shallow.'
  },
  film: { cause: 'Film left on', look: 'Peel it or enter its thickness.' },
  chips: {
    cause: 'Chips under the stop countersink',
    look: 'Blow it clean, press until the cutter stops cutting.'
  },
  pressure: {
    cause: 'Uneven pressure',
    look: 'Square on, the same firm push each time.'
  },
  deep: {
    cause: 'A shiny ring round the rivet’s rim',
    look: 'Too deep already, regardless of the gauge.'
  }
};

/** Whether a set cage may go on cutting. */
export function recheckInWords({ state, suspect, since, nextAfter }: RecheckStatus): string {
  const look = suspect === '' ? '' : ` Inspect the holes cut as ${suspect} one by one.`;
  switch (state) {
    case 'good':
      return `Next re-check after hole ${nextAfter}.`;
    case 'due':
      return `Re-check now: ${since} holes since the last check.`;
    case 'film-unsaid':
      return 'Re-check on the bare part before the next hole: film was on for this setup, but when was not recorded. Heads may be higher than calculated.';
    case 'too-deep':
      return `Stop: too deep. It cannot be undone: next size up, or refer.${look} Set up the stop countersink again.`;
    case 'proud':
      return `Stop: heads too high.${look} They can be cut deeper after a new setup.`;
  }
}

const CHECK_TITLES: Record<SetupCheck['key'], string> = {
  pilot: 'The pilot fits the hole',
  angle: 'Cutter angle matches',
  width: 'The cutter is wider than the cut',
  coupon: 'The coupon is as thick as the sheet',
  backing: 'The backing is as deep as the pilot',
  depth: 'The cut stays within the sheet',
  film: 'Film on the coupon and the work'
};

/** How thick film is, in (stack-up). */
const FILM_IS_IN = { least: 0.001, most: 0.002 };

function filmText(
  { filmIn, raisedIn, wrong }: Extract<SetupCheck, { key: 'film' }>,
  length: WriteLength
): string {
  const usual = `${length(FILM_IS_IN.least, 'fine')} to ${length(FILM_IS_IN.most, 'fine')}`;
  if (filmIn === 0) return 'none';
  switch (wrong) {
    case 'too-thick':
      return `Film is ${usual} thick, not ${length(filmIn, 'fine')}. Check the decimal point.`;
    case 'unsaid':
      return 'Enter when it was on: coupon cut, reading, work cut. Best: peel it.';
    case 'read-but-not-cut':
      return 'A head cannot be read with film on a coupon that was cut without it.';
    case null:
      return raisedIn === 0
        ? 'Same film for cut and reading: heads on the bare part are as measured.'
        : `Heads on the bare part will be ${length(Math.abs(raisedIn), 'fine')} ${raisedIn > 0 ? 'higher' : 'lower'} than read; every reading is corrected by it. Best: peel it.`;
  }
}

function checkText(check: SetupCheck, length: WriteLength): string {
  const wrong = check.verdict !== 'good';
  switch (check.key) {
    case 'pilot': {
      const { holeIn, pilotIn, loosestIn, fit } = check;
      const numbers = `hole ${length(holeIn, 'fine')} − pilot ${length(pilotIn, 'fine')} = ${length(holeIn - pilotIn, 'fine')}`;
      if (fit === 'tight')
        return `${numbers}: it does not go in. A pilot of at most ${length(holeIn, 'fine')} works.`;
      return fit === 'loose'
        ? `${numbers} clearance: too loose, the cutter wanders. Maximum ${length(loosestIn, 'fine')}: a pilot from ${length(holeIn - loosestIn, 'fine')}.`
        : `${numbers} loose`;
    }
    case 'angle': {
      const { seat, headDeg, cutterDeg } = check;
      if (wrong)
        return `A rivet’s head has ${headDeg}°, this cutter ${cutterDeg}°: take a ${headDeg}° cutter, or set it with a dimpled scrap in the cut.`;
      return seat === 'rivet'
        ? `${headDeg}° for a rivet`
        : `${cutterDeg}°, found by test with a dimpled coupon`;
    }
    case 'width':
      return wrong
        ? `The cut becomes ${length(check.wideIn)} wide, the cutter is ${length(check.cutterIn)}: it would leave a step. Take one of ${length(check.wideIn)} or more.`
        : `cutter ${length(check.cutterIn)}, cut ${length(check.wideIn)}`;
    case 'coupon': {
      const { couponIn, sheetIn, withinIn } = check;
      return wrong
        ? `Coupon ${length(couponIn)}, sheet ${length(sheetIn)}: take scrap of ${length(sheetIn)}, within ${length(withinIn)}.`
        : `coupon ${length(couponIn)}, sheet ${length(sheetIn)}`;
    }
    case 'backing': {
      const { backingIn, pilotLengthIn } = check;
      return wrong
        ? `Pilot length ${length(pilotLengthIn)}, the backing is ${length(backingIn)}: the pilot would hit the table and every cut would read shallow. Use ${length(pilotLengthIn)} or more.`
        : `backing ${length(backingIn)}, pilot ${length(pilotLengthIn)}`;
    }
    case 'depth':
      return check.band.ok
        ? `flushness ${flushRange(check.band.result, length)}${check.band.result.marginal ? ': marginal, less than one click' : ''}`
        : refusalInWords(check.band.error.said, length);
    case 'film':
      return filmText(check, length);
  }
}

/** How a step's cage is set. */
export const settingInWords = ({
  setting,
  found
}: {
  setting: { cage: string };
  found: Pick<FoundSetting, 'clicks' | 'nest'>;
}): string =>
  `${setting.cage}: flush at ${found.clicks} clicks${found.nest ? `, nested at ${found.nest.clicks}` : ''}`;

/** What must be right before the first hole is cut. */
export const checkInWords = (
  check: SetupCheck,
  length: WriteLength
): { title: string; say: string } => ({
  title: CHECK_TITLES[check.key],
  say: checkText(check, length)
});

/** Where a setting stands, in a list. */
export function lineMarkInWords(setting: {
  withdrawn: boolean;
  set: boolean;
  practice: boolean;
  looked: boolean;
  status: RecheckStatus;
}): { sign: '✓' | '…' | '✕'; text: string } {
  if (setting.withdrawn) return { sign: '✕', text: 'withdrawn' };
  if (!setting.set) return { sign: '…', text: 'not set yet' };
  if (setting.practice) return { sign: '…', text: CAGES.practiceOnly };
  if (setting.status.state === 'too-deep' || setting.status.state === 'proud')
    return { sign: '✕', text: 're-check was bad' };
  return { sign: '✓', text: setting.looked ? 're-checked' : 'set' };
}
