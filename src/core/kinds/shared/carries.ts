import { z } from 'zod';

/** sized by the guidance, or only holding parts together with the fewest rivets */
export const carriesPicked = { carries: z.enum(['guidance', 'attach']) };
