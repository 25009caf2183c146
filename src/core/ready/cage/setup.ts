import { z } from 'zod';
import { notPossible, workLine, type Answer } from '../../answer.ts';
import { by, len } from '../../notation.ts';
import { rivetSize } from '../../catalog/rivets.ts';
import { FLUSHNESS_LIMITS, FlushnessSchool } from '../../rules/flushness.ts';
import {
  Dash,
  lengthIn,
  thickAsked,
  thicknessIfMeantIn,
  thicknessIn
} from '../../schema/fields.ts';
import { saying } from '../../refusal-said.ts';
import { CLICK_IN } from '../../stack/dimple-nest.ts';
import { NEST_PER_IN } from '../../stack/flush-method.ts';
import { above, atMost, below } from '../../units/tolerance.ts';

/** Nothing to measure with tells more than this. */
const FURTHEST_TARGET_IN = 0.02;

/** A re-check after every so many holes. */
export const RecheckEvery = z
  .int('a re-check comes after a whole number of holes')
  .min(1, 'a re-check comes after one hole at the earliest')
  .max(500, 'a re-check comes after 500 holes at the latest');

const on = (what: string) => z.boolean(`${what}: yes or no`);

export const FilmOn = z.strictObject({
  cut: on('the coupon was cut with its film on'),
  read: on('the head was read with the film on'),
  work: on('the work will be cut with its film on')
});
/** When the film was on: while the coupon was cut, while it was read, while the work will be cut. */
export type FilmOn = z.output<typeof FilmOn>;

/** Film was on, and nobody said when: what was read says nothing certain of the bare work. */
export const filmUnsaid = ({ filmIn, filmOn }: Pick<CageSetup, 'filmIn' | 'filmOn'>): boolean =>
  above(filmIn, 0) && filmOn === null;

/** The film of a setting as the calculation asks for it. */
export const filmOf = ({ filmIn, filmOn }: Pick<CageSetup, 'filmIn' | 'filmOn'>) => ({
  filmIn,
  filmCut: filmOn?.cut,
  filmRead: filmOn?.read,
  filmWork: filmOn?.work
});

export const CageSetup = z
  .strictObject({
    dash: Dash,
    /** what lies in the trial cut while it is measured */
    seat: z.enum(['rivet', 'dimpled-scrap']),
    /** the sheet that will be cut */
    sheetIn: thicknessIfMeantIn,
    material: z.string().trim().max(40).default(''),
    /** the dimpled sheets above it, together; null where the rivet itself lies in the cut */
    skinIn: thicknessIn.nullable(),
    /** sheet and coupon are as thick as typed, though over what a sheet is */
    thickMeant: z.boolean().default(false),
    holeIn: lengthIn('the hole', { least: 0.08, most: 0.5 }),
    couponIn: thicknessIfMeantIn,
    couponMaterial: z.string().trim().max(40).default(''),
    backingIn: lengthIn('the backing', { least: 0, most: 12 }),
    /** protective film on the coupon or on the work */
    filmIn: lengthIn('the film', { least: 0, most: 0.1 }),
    /** when that film was on, without which nobody knows what it does; null in settings made before it was asked */
    filmOn: FilmOn.nullable().default(null),
    school: FlushnessSchool,
    /** null: the middle of the limits */
    targetIn: lengthIn('the target', { least: -FURTHEST_TARGET_IN, most: FURTHEST_TARGET_IN })
      .nullable()
      .default(null),
    recheckEvery: RecheckEvery
  })
  .superRefine(({ seat, skinIn, thickMeant, ...thick }, context) => {
    for (const name of ['sheetIn', 'couponIn'] as const) {
      const said = thickMeant ? null : thickAsked(thick[name]);
      if (said) context.addIssue({ code: 'custom', path: [name], params: saying(said) });
    }
    // Without it the cut would be reckoned a nest too shallow.
    if (seat === 'dimpled-scrap' && skinIn === null)
      context.addIssue({
        code: 'custom',
        path: ['skinIn'],
        message:
          'a dimpled scrap lies in the cut: say how thick the dimpled sheets above it are, together'
      });
  });
/** What a cage is set for: rivet, sheet, coupon and how flush. Lengths in inches. */
export type CageSetup = z.output<typeof CageSetup>;
/** The same as typed. */
export type EnteredSetup = z.input<typeof CageSetup>;

/** The deepest cut that flush work asks for, from the face: the head's height, and the nest where a dimple lies in it. */
export const cutDepthIn = ({ dash, seat, skinIn }: Pick<CageSetup, 'dash' | 'seat' | 'skinIn'>) =>
  rivetSize(dash).head.countersunk.heightIn +
  (seat === 'dimpled-scrap' ? NEST_PER_IN * (skinIn ?? 0) : 0);

/** How proud another school lets a head stand, where that leaves a click over this limit; else null. */
function widerHighIn(lowIn: number): number | null {
  const highsIn = Object.values(FLUSHNESS_LIMITS).map(({ highIn }) => highIn);
  const wide = highsIn.filter((highIn) => !below(highIn - lowIn, CLICK_IN));
  return wide.length === 0 ? null : Math.min(...wide);
}

/** Where a head may stand, and what is aimed at; in, above the skin is positive. */
export interface FlushBand {
  lowIn: number;
  highIn: number;
  targetIn: number;
}

/**
 * Between which readings a cut is good: the school's limits, and never so deep that it goes through the sheet.
 *
 * @returns `not-possible` where the sheet is too thin for any head within the limits, or a target outside them
 * @source handbook 4.3 (knife edge) and 4.4 (flushness)
 */
export function flushBand(setup: CageSetup): Answer<FlushBand> {
  const school = FLUSHNESS_LIMITS[setup.school];
  const deepIn = cutDepthIn(setup);
  // What is cut for a nest later is held against its sheet when the nest is reckoned.
  const throughIn =
    setup.seat === 'rivet' && setup.skinIn !== null ? -Infinity : deepIn - setup.sheetIn;
  const lowIn = Math.max(school.lowIn, throughIn);
  if (above(lowIn, school.highIn))
    return notPossible('sheetIn', {
      code: 'cut-through',
      dash: setup.dash,
      deepIn,
      sheetIn: setup.sheetIn,
      highIn: school.highIn
    });
  // Between clicks a cage stands nowhere: a band under one click may hold no setting at all.
  if (below(school.highIn - lowIn, CLICK_IN))
    return notPossible('sheetIn', {
      code: 'band-under-a-click',
      dash: setup.dash,
      sheetIn: setup.sheetIn,
      lowIn,
      highIn: school.highIn,
      clickIn: CLICK_IN,
      leastSheetIn: deepIn - (school.highIn - CLICK_IN),
      otherHighIn: widerHighIn(lowIn)
    });
  const targetIn = setup.targetIn ?? (lowIn + school.highIn) / 2;
  if (below(targetIn, lowIn) || above(targetIn, school.highIn))
    return notPossible('targetIn', {
      code: 'target-outside',
      targetIn,
      lowIn,
      highIn: school.highIn,
      nearestIn: below(targetIn, lowIn) ? lowIn : school.highIn
    });
  return {
    ok: true,
    result: { lowIn, highIn: school.highIn, targetIn },
    work: [
      workLine(
        'low limit',
        atMost(throughIn, school.lowIn)
          ? 'of the school'
          : by`knife edge: depth when flush − sheet = ${len(deepIn)} − ${len(setup.sheetIn)}`,
        lowIn,
        'in'
      ),
      workLine('high limit', 'of the school', school.highIn, 'in'),
      workLine(
        'target',
        setup.targetIn === null ? by`(${len(lowIn)} + ${len(school.highIn)}) / 2` : 'as typed',
        targetIn,
        'in'
      )
    ]
  };
}
