import { z } from 'zod';

export const FlushnessSchool = z.enum(['two-proud', 'three-proud', 'aerodynamic']);
/** How far a flush head may stand over (+) or under (−) the skin. */
export type FlushnessSchool = z.infer<typeof FlushnessSchool>;

/** Limits of each school, in (prepare). */
export const FLUSHNESS_LIMITS: Record<FlushnessSchool, { lowIn: number; highIn: number }> = {
  'two-proud': { lowIn: 0, highIn: 0.002 },
  /** a touch proud: driving flattens it */
  'three-proud': { lowIn: 0, highIn: 0.003 },
  aerodynamic: { lowIn: -0.002, highIn: 0.002 }
};
