import { z } from 'zod';

/** A multiple of D between real bounds: a slipped decimal point would lay a hole on every hair. */
const timesD = (what: string, least: number, most: number) =>
  z
    .number(`${what} is a number of D`)
    .min(least, `${what} is at least ${least} D`)
    .max(most, `${what} is at most ${most} D`);

export const Multipliers = z
  .strictObject({
    /** least distance from a hole's centre to the nearest sheet edge */
    edgeMinD: z.strictObject({
      universal: timesD('the minimum edge distance', 1, 6),
      countersunk: timesD('the minimum edge distance', 1, 6)
    }),
    /** beyond this the sheet past the rivets is a loose flap */
    edgeMaxD: timesD('the maximum edge distance', 1.5, 20),
    pitchMinD: timesD('the minimum pitch', 2, 12),
    pitchMaxD: timesD('the maximum pitch', 2, 60),
    /** between rows, and between nearest centres of staggered rows */
    transverseMinD: timesD('the minimum transverse pitch', 1.5, 12),
    transverseMaxD: timesD('the maximum transverse pitch', 2, 60),
    /** usual distance between rows as a share of the pitch */
    transverseOfPitch: z
      .number('the usual distance between rows is a share of the pitch')
      .min(0.1, 'the usual transverse pitch is at least 0.1 of the pitch')
      .max(4, 'the usual distance between rows is at most 4 times the pitch'),
    /** protrusion is good strictly between these */
    protrusionMinD: timesD('the minimum protrusion', 0.5, 2.5),
    protrusionMaxD: timesD('the maximum protrusion', 1, 4)
  })
  .superRefine((limits, context) => {
    const ordered = (low: number, high: number, key: string, what: string) => {
      if (low > high)
        context.addIssue({
          code: 'custom',
          path: [key],
          message: `the minimum ${what}, ${low} D, is above the maximum, ${high} D`
        });
    };
    ordered(limits.edgeMinD.universal, limits.edgeMaxD, 'edgeMinD', 'edge distance');
    ordered(limits.edgeMinD.countersunk, limits.edgeMaxD, 'edgeMinD', 'edge distance');
    ordered(limits.pitchMinD, limits.pitchMaxD, 'pitchMinD', 'pitch');
    ordered(
      limits.transverseMinD,
      limits.transverseMaxD,
      'transverseMinD',
      'distance between rows'
    );
    ordered(limits.protrusionMinD, limits.protrusionMaxD, 'protrusionMinD', 'protrusion');
  });
/** The spacing and protrusion limits in multiples of D. */
export type Multipliers = z.output<typeof Multipliers>;

/** What every calculation uses when it is given no rule profile. */
export const DEFAULT_MULTIPLIERS: Multipliers = {
  edgeMinD: { universal: 2, countersunk: 2.5 },
  edgeMaxD: 4,
  pitchMinD: 3,
  pitchMaxD: 12,
  transverseMinD: 2.5,
  transverseMaxD: 4,
  transverseOfPitch: 0.75,
  protrusionMinD: 1,
  protrusionMaxD: 2
};
