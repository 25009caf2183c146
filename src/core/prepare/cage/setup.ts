import { z } from 'zod';
import type { Answer } from '../../answer.ts';
import { rivetSize } from '../../catalog/rivets.ts';
import { FlushnessSchool } from '../../rules/flushness.ts';
import {
  Dash,
  lengthIn,
  thickAsked,
  thicknessIfMeantIn,
  thicknessIn
} from '../../schema/fields.ts';
import { saying } from '../../refusal-said.ts';
import { flushTarget, type FlushTarget } from '../../stack/flush-target.ts';
import { NEST_PER_IN } from '../../stack/flush-method.ts';
import { above } from '../../units/tolerance.ts';

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

/**
 * Between which readings a cut is good. What is cut for a nest later is held against its sheet when the nest is reckoned.
 *
 * @returns `not-possible` where the sheet is too thin for any head within the limits, or a target outside them
 * @source stack-up (knife edge) and prepare (flushness)
 */
export const flushBand = (setup: CageSetup): Answer<FlushTarget> =>
  flushTarget(
    {
      dash: setup.dash,
      deepIn: cutDepthIn(setup),
      sheetIn: setup.seat === 'rivet' && setup.skinIn !== null ? Infinity : setup.sheetIn,
      school: setup.school
    },
    setup.targetIn
  );
