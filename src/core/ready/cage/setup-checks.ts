import { num } from '../../answer.ts';
import { dimpleNest } from '../../stack/dimple-nest.ts';
import { rivetSize } from '../../catalog/rivets.ts';
import { above, below } from '../../units/tolerance.ts';
import type { Cage } from './cage.ts';
import { flushBand, type CageSetup } from './setup.ts';

/** One thing that must be right before the first hole is cut. */
export interface SetupCheck {
  key: 'pilot' | 'angle' | 'width' | 'coupon' | 'backing' | 'depth' | 'film';
  verdict: 'good' | 'attention' | 'stop';
  title: string;
  /** the numbers, and what would work */
  say: string;
}

/** Looser than this the cutter wanders; a pilot of a rivet's own diameter stands 0.003 to 0.004 in loose in its hole. */
export const LOOSEST_PILOT_IN = 0.005;
/** Two pieces of one gauge differ by no more. */
export const SAME_THICKNESS_IN = 0.002;
const HEAD_DEG = 100;

const check = (
  key: SetupCheck['key'],
  title: string,
  wrong: false | { say: string; level?: 'attention' },
  good: string
): SetupCheck =>
  wrong
    ? { key, title, verdict: wrong.level ?? 'stop', say: wrong.say }
    : { key, title, verdict: 'good', say: good };

function pilotCheck({ pilotIn }: Cage, { holeIn }: CageSetup): SetupCheck {
  const looseIn = holeIn - pilotIn;
  const numbers = `hole ${num(holeIn)} − pilot ${num(pilotIn)} = ${num(looseIn)} in`;
  return check(
    'pilot',
    'The pilot fits the hole',
    below(looseIn, 0)
      ? { say: `${numbers}: it does not go in. A pilot of at most ${num(holeIn)} in works.` }
      : above(looseIn, LOOSEST_PILOT_IN) && {
          say: `${numbers} loose: the cutter wanders. At most ${LOOSEST_PILOT_IN} in works: a pilot from ${num(holeIn - LOOSEST_PILOT_IN)} in.`
        },
    `${numbers} loose`
  );
}

/** How wide the mouth of the deepest cut will be that this setting leads to. */
function mouthIn({ dash, skinIn }: CageSetup): number {
  if (skinIn === null) return rivetSize(dash).head.countersunk.diameterIn;
  const nest = dimpleNest({ skinIn, dash });
  return nest.ok ? nest.result.nestDiameterIn : 0;
}

/**
 * What is checked before the first trial: pilot against hole, cutter against head, coupon and backing.
 *
 * @returns every check in the order one makes it; any `stop` and no trial is cut
 * @source handbook 4.4
 */
export function setupChecks(cage: Cage, setup: CageSetup): SetupCheck[] {
  const { seat, sheetIn, couponIn, backingIn, filmIn } = setup;
  const wideIn = mouthIn(setup);
  const band = flushBand(setup);
  return [
    pilotCheck(cage, setup),
    check(
      'angle',
      'The cutter has the angle of what lies in it',
      seat === 'rivet' &&
        cage.cutterDeg !== HEAD_DEG && {
          say: `A rivet’s head has ${HEAD_DEG}°, this cutter ${cage.cutterDeg}°: take a ${HEAD_DEG}° cutter, or set it with a dimpled scrap in the cut.`
        },
      seat === 'rivet'
        ? `${HEAD_DEG}° for a rivet`
        : `${cage.cutterDeg}°, found by trial with a dimpled scrap`
    ),
    check(
      'width',
      'The cutter is wider than the cut',
      below(cage.cutterIn, wideIn) && {
        say: `The cut becomes ${num(wideIn)} in wide, the cutter is ${num(cage.cutterIn)} in: it would leave a step. Take one of ${num(wideIn)} in or more.`
      },
      `cutter ${num(cage.cutterIn)} in, cut ${num(wideIn)} in`
    ),
    check(
      'coupon',
      'The coupon is as thick as the sheet',
      above(Math.abs(couponIn - sheetIn), SAME_THICKNESS_IN) && {
        say: `Coupon ${num(couponIn)} in, sheet ${num(sheetIn)} in: take scrap of ${num(sheetIn)} in, within ${SAME_THICKNESS_IN} in.`
      },
      `coupon ${num(couponIn)} in, sheet ${num(sheetIn)} in`
    ),
    check(
      'backing',
      'The backing is as deep as the pilot',
      below(backingIn, cage.pilotLengthIn) && {
        say: `The pilot stands out ${num(cage.pilotLengthIn)} in, the backing is ${num(backingIn)} in: the pilot would touch the bench and every cut read too shallow. Take ${num(cage.pilotLengthIn)} in or more.`
      },
      `backing ${num(backingIn)} in, pilot ${num(cage.pilotLengthIn)} in`
    ),
    check(
      'depth',
      'The cut stays within the sheet',
      !band.ok && { say: band.error.message },
      band.ok
        ? `good from ${num(band.result.lowIn)} to ${num(band.result.highIn)} in above the skin`
        : ''
    ),
    check(
      'film',
      'No film on the coupon',
      above(filmIn, 0) && {
        level: 'attention',
        say: `Peel it: it raises a head by 0.001 to 0.002 in. Until then every reading is corrected by ${num(filmIn)} in.`
      },
      'none'
    )
  ];
}

export const mayBegin = (checks: readonly SetupCheck[]): boolean =>
  checks.every(({ verdict }) => verdict !== 'stop');
