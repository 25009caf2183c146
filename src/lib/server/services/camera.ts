import { holeStream, isMeasured } from '../../../core/check/hole-events.ts';
import { seedOf } from '../../../core/devices/random.ts';
import { simulatedPicture } from '../../../core/devices/simulated-camera.ts';
import { beforeCamera } from '../../../core/driving/before-camera.ts';
import { driveStream } from '../../../core/driving/drive-events.ts';
import type { CameraShot } from '../../camera-view.ts';
import type { Database } from '../db/connect.ts';
import { driveEvents } from '../events/drive-events.ts';
import { frozenIssue } from '../events/frozen-issue.ts';
import { holeEvents } from '../events/hole-events.ts';
import { eventsOf } from '../events/read.ts';
import { done, refused, type Outcome } from './outcome.ts';

/** What the simulated camera sees of a release: heads as recorded, else as metal predicts them. */
export async function simulatedShot(
  database: Database,
  issueId: string,
  look: { indexIn: number; row: number }
): Promise<Outcome<CameraShot>> {
  const frozen = await frozenIssue(database, issueId);
  if (!frozen) return refused('not-found', 'there is no such issue');
  const [driving, checked] = await Promise.all([
    eventsOf(database, driveEvents, issueId),
    eventsOf(database, holeEvents, issueId)
  ]);
  const state = driveStream.project({ ...frozen, batches: [] }, driving);
  const measured = new Map(
    [...holeStream.project(frozen, checked)].flatMap(([hole, { ofRivet }]) => {
      const last = ofRivet.findLast(isMeasured);
      return last ? [[hole, last.diameterIn] as const] : [];
    })
  );
  const before = beforeCamera(
    { id: issueId, ...frozen },
    state.access?.access.member ?? null,
    look,
    (hole) => state.holes.get(hole)?.driven ?? false,
    measured
  );
  const { svg, ...picture } = simulatedPicture(
    seedOf(`${issueId} ${look.row} ${look.indexIn.toFixed(3)}`),
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
