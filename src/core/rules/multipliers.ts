import { z } from 'zod';

const timesD = (what: string) =>
  z
    .number(`${what} is a number of D`)
    .positive(`${what} is over 0 D`)
    .max(100, `${what} is at most 100 D`);

export const Multipliers = z
  .strictObject({
    /** least distance from a hole's centre to the nearest sheet edge */
    edgeMinD: z.strictObject({
      universal: timesD('the least edge distance'),
      countersunk: timesD('the least edge distance')
    }),
    /** beyond this the sheet past the rivets is a loose flap */
    edgeMaxD: timesD('the largest edge distance'),
    pitchMinD: timesD('the least pitch'),
    pitchMaxD: timesD('the largest pitch'),
    /** between rows, and between nearest centres of staggered rows */
    transverseMinD: timesD('the least distance between rows'),
    transverseMaxD: timesD('the largest distance between rows'),
    /** usual distance between rows as a share of the pitch */
    transverseOfPitch: z.number().positive().max(10),
    /** protrusion is good strictly between these */
    protrusionMinD: timesD('the least protrusion'),
    protrusionMaxD: timesD('the largest protrusion')
  })
  .superRefine((limits, context) => {
    const ordered = (low: number, high: number, key: string, what: string) => {
      if (low > high)
        context.addIssue({
          code: 'custom',
          path: [key],
          message: `the least ${what}, ${low} D, is above the largest, ${high} D`
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

/** Handbook 4.2 and 4.3: what every calculation uses when it is given no rule profile. */
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
