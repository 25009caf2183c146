import { z } from 'zod';
import { endpoint } from './endpoint.ts';

/** Lines to the simulated depth gauge of a cage; what it says comes back as server-sent events from the same place. */
export const gaugeLinesAt = endpoint({
  method: 'POST',
  path: ({ cage }: { cage: string }) => `/api/devices/depth-gauge/${cage}`,
  request: z.strictObject({ lines: z.array(z.string().max(200)).min(1).max(20) }),
  response: z.object({ taken: z.int() })
});
