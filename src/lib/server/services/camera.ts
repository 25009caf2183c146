import { isMeasured } from '../../../core/inspect/hole-events.ts';
import { seedOf } from '../../../core/devices/random.ts';
import { simulatedPicture } from '../../../core/devices/simulated-camera.ts';
import { beforeCamera } from '../../../core/driving/before-camera.ts';
import type { CameraShot } from '../../camera-view.ts';
import type { Database } from '../db/connect.ts';
import { openRelease } from './open-release.ts';
import { done, refused, type Outcome } from '../outcome.ts';

/** What the simulated camera sees of a release: heads as recorded, else as metal predicts them. */
export async function simulatedShot(
  database: Database,
  releaseId: string,
  look: { indexIn: number; row: number }
): Promise<Outcome<CameraShot>> {
  const opened = await openRelease(database, releaseId);
  if (!opened) return refused('not-found', 'there is no such release');
  const { release, drive, states } = opened;
  const measured = new Map(
    [...states].flatMap(([hole, { ofRivet }]) => {
      const last = ofRivet.findLast(isMeasured);
      return last ? [[hole, last.diameterIn] as const] : [];
    })
  );
  const before = beforeCamera(
    release,
    drive.access?.access.member ?? null,
    look,
    (hole) => drive.holes.get(hole)?.driven ?? false,
    measured
  );
  const { svg, ...picture } = simulatedPicture(
    seedOf(`${releaseId} ${look.row} ${look.indexIn.toFixed(3)}`),
    before
  );
  return done({
    name: 'camera on the rod, simulated',
    simulated: true,
    picture: `data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}`,
    ...picture,
    indexIn: look.indexIn
  });
}
