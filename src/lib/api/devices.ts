import { z } from 'zod';
import { CameraShot } from '../camera-view.ts';
import { endpoint } from './endpoint.ts';

/** Lines to the simulated depth gauge of a cage; what it says comes back as server-sent events from the same place. */
export const gaugeLinesAt = endpoint({
  method: 'POST',
  path: ({ cage }: { cage: string }) => `/api/devices/depth-gauge/${cage}`,
  request: z.strictObject({ lines: z.array(z.string().max(200)).min(1).max(20) }),
  response: z.object({ taken: z.int() })
});

/** One picture of the simulated camera at a place on the rod, looking at a row (docs/camera.md). */
export const cameraLookAt = endpoint({
  method: 'POST',
  path: ({ issue }: { issue: string }) => `/api/devices/camera/${issue}`,
  request: z.strictObject({
    indexIn: z.number().min(-2400).max(2400),
    row: z.int().min(1).max(100_000)
  }),
  response: CameraShot
});
