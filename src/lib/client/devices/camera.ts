import { cameraLookAt } from '$lib/api/devices.ts';
import type { CameraShot } from '$lib/camera-view';
import { call } from '../call';

/** A camera on a rod. A real one brings its own; the rest stays as it is. */
export interface Camera {
  /**
   * @param indexIn where the rod stands, in
   * @param row that it looks at
   * @returns a picture; or in words why there is none
   */
  look(indexIn: number, row: number): Promise<CameraShot | { failed: string }>;
}

/** The simulated camera that the application serves. */
export class ServedCamera implements Camera {
  constructor(private readonly release: string) {}

  async look(indexIn: number, row: number): Promise<CameraShot | { failed: string }> {
    const reply = await call(cameraLookAt, { release: this.release }, { indexIn, row });
    if (!reply.reached) return { failed: 'Offline: no camera image.' };
    return reply.ok ? reply.value : { failed: reply.message };
  }
}
