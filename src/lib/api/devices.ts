import { z } from 'zod';
import { CameraShot } from '../camera-view.ts';
import { endpoint } from './endpoint.ts';

/** Which instrument, and where: the depth gauge of a cage, the caliper at a release. */
export interface DevicePlace {
  device: 'depth-gauge' | 'caliper';
  place: string;
}

/** Lines to a simulated instrument; what it says comes back as server-sent events from the same address. */
export const deviceLinesAt = endpoint({
  method: 'POST',
  path: ({ device, place }: DevicePlace) => `/api/devices/${device}/${place}`,
  request: z.strictObject({ lines: z.array(z.string().max(200)).min(1).max(20) }),
  response: z.object({ taken: z.int() })
});

/** One picture of the simulated camera at a place on the rod, looking at a row (docs/camera.md). */
export const cameraLookAt = endpoint({
  method: 'POST',
  path: ({ release }: { release: string }) => `/api/devices/camera/${release}`,
  request: z.strictObject({
    indexIn: z.number().min(-2400).max(2400),
    row: z.int().min(1).max(100_000)
  }),
  response: CameraShot
});
