import type { Answer } from '../../answer.ts';
import { CLICK_IN, dimpleNest } from '../../stack/dimple-nest.ts';
import type { FlushTarget } from '../../stack/flush-target.ts';
import { rivetSize } from '../../catalog/rivets.ts';
import { above, below } from '../../units/tolerance.ts';
import type { Cage } from './cage.ts';
import { filmRaisesIn, THICKEST_FILM_IN } from '../countersink-next.ts';
import { filmOf, filmUnsaid, flushBand, type CageSetup, type FilmOn } from './setup.ts';

/** What must be right before the first hole is cut, with its numbers; lengths in inches. */
type CheckSaid =
  | {
      key: 'pilot';
      holeIn: number;
      pilotIn: number;
      loosestIn: number;
      fit: 'tight' | 'loose' | 'good';
    }
  | { key: 'angle'; seat: CageSetup['seat']; headDeg: number; cutterDeg: number }
  | { key: 'width'; wideIn: number; cutterIn: number }
  | { key: 'coupon'; couponIn: number; sheetIn: number; withinIn: number }
  | { key: 'backing'; backingIn: number; pilotLengthIn: number }
  | { key: 'depth'; band: Answer<FlushTarget> }
  | { key: 'film'; filmIn: number; filmOn: FilmOn | null; raisedIn: number; wrong: FilmWrong };

/** Why film cannot be reckoned with as told; null where it can. */
type FilmWrong = 'too-thick' | 'unsaid' | 'read-but-not-cut' | null;

/** One of them judged. */
export type SetupCheck = CheckSaid & { verdict: 'good' | 'attention' | 'stop' };

/** Looser than this the cutter wanders; a pilot of a rivet's own diameter stands 0.003 to 0.004 in loose in its hole. */
export const LOOSEST_PILOT_IN = 0.005;
/** Two pieces of one gauge differ by no more. */
export const SAME_THICKNESS_IN = 0.002;
const HEAD_DEG = 100;

const stopIf = (wrong: boolean) => (wrong ? 'stop' : 'good');

function pilotCheck({ pilotIn }: Cage, { holeIn }: CageSetup): SetupCheck {
  const looseIn = holeIn - pilotIn;
  const fit = below(looseIn, 0) ? 'tight' : above(looseIn, LOOSEST_PILOT_IN) ? 'loose' : 'good';
  return {
    key: 'pilot',
    verdict: stopIf(fit !== 'good'),
    holeIn,
    pilotIn,
    loosestIn: LOOSEST_PILOT_IN,
    fit
  };
}

function filmCheck(setup: CageSetup): SetupCheck {
  const { filmIn, filmOn } = setup;
  const wrong: FilmWrong = above(filmIn, THICKEST_FILM_IN)
    ? 'too-thick'
    : filmUnsaid(setup)
      ? 'unsaid'
      : above(filmIn, 0) && filmOn?.read && !filmOn.cut
        ? 'read-but-not-cut'
        : null;
  return {
    key: 'film',
    verdict: wrong ? 'stop' : above(filmIn, 0) ? 'attention' : 'good',
    filmIn,
    filmOn,
    raisedIn: wrong ? 0 : filmRaisesIn(filmOf(setup)),
    wrong
  };
}

/** How wide the mouth of the deepest cut will be that this setting leads to. */
function mouthIn({ dash, skinIn }: CageSetup): number {
  if (skinIn === null) return rivetSize(dash).head.countersunk.diameterIn;
  const nest = dimpleNest({ skinIn, dash, clickIn: CLICK_IN });
  return nest.ok ? nest.result.nestDiameterIn : 0;
}

/**
 * What is checked before the first trial: pilot against hole, cutter against head, coupon and backing.
 *
 * @returns every check in the order one makes it; any `stop` and no trial is cut
 * @source prepare
 */
export function setupChecks(cage: Cage, setup: CageSetup): SetupCheck[] {
  const { seat, sheetIn, couponIn, backingIn } = setup;
  const wideIn = mouthIn(setup);
  const band = flushBand(setup);
  return [
    pilotCheck(cage, setup),
    {
      key: 'angle',
      verdict: stopIf(seat === 'rivet' && cage.cutterDeg !== HEAD_DEG),
      seat,
      headDeg: HEAD_DEG,
      cutterDeg: cage.cutterDeg
    },
    {
      key: 'width',
      verdict: stopIf(below(cage.cutterIn, wideIn)),
      wideIn,
      cutterIn: cage.cutterIn
    },
    {
      key: 'coupon',
      verdict: stopIf(above(Math.abs(couponIn - sheetIn), SAME_THICKNESS_IN)),
      couponIn,
      sheetIn,
      withinIn: SAME_THICKNESS_IN
    },
    {
      key: 'backing',
      verdict: stopIf(below(backingIn, cage.pilotLengthIn)),
      backingIn,
      pilotLengthIn: cage.pilotLengthIn
    },
    {
      key: 'depth',
      verdict: !band.ok ? 'stop' : band.result.marginal ? 'attention' : 'good',
      band
    },
    filmCheck(setup)
  ];
}

export const mayBegin = (checks: readonly SetupCheck[]): boolean =>
  checks.every(({ verdict }) => verdict !== 'stop');
