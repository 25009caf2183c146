import { cameraLookAt } from '$lib/api/devices.ts';
import { serve } from '$lib/server/serve';
import { simulatedShot } from '$lib/server/services/camera';

/** What the simulated camera sees (docs/camera.md). */
export const POST = serve(cameraLookAt, ({ database, params, body }) =>
  simulatedShot(database, params['release'] ?? '', body)
);
