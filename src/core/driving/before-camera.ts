import { NOMINAL_HEIGHT_D } from '../catalog/head-limits.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { BeforeLens } from '../devices/simulated-camera.ts';
import { seeded, seedOf } from '../devices/random.ts';
import { predictedHeadIn3, type ReleasedHole, type Release } from '../release/release.ts';
import type { ClosedMember } from './access.ts';

/** Where a hole is on the rod: from the end that it goes in by, the bar's own offset added, in. */
export const rodIndexIn = (
  { widthIn }: { widthIn: number },
  { xIn }: Pick<ReleasedHole, 'xIn'>,
  member: Pick<ClosedMember, 'from' | 'offsetIn'> | null
): number =>
  member === null ? xIn : (member.from === 'left' ? xIn : widthIn - xIn) + member.offsetIn;

/** Half of what a camera on the rod sees either way, in. */
const HALF_VIEW_IN = 0.9;
const SPREAD = 0.05;

/**
 * What lies before a camera at a place on the rod: heads as they were measured, else as metal predicts them with a spread of
 * their own, and shanks where nothing is driven yet.
 *
 * @param row that the camera looks at
 * @param measuredIn diameters as recorded, by hole
 */
export function beforeCamera(
  release: Pick<Release, 'id' | 'facts' | 'holes'>,
  member: ClosedMember | null,
  { indexIn, row }: { indexIn: number; row: number },
  isDriven: (hole: number) => boolean,
  measuredIn: ReadonlyMap<number, number>
): BeforeLens[] {
  const inRow = release.holes.filter((hole) => hole.row === row);
  const rowIn = inRow[0]?.yIn ?? 0;
  return release.holes.flatMap((hole) => {
    const alongIn = rodIndexIn(release.facts, hole, member) - indexIn;
    const acrossIn = hole.yIn - rowIn;
    if (Math.abs(alongIn) > HALF_VIEW_IN || Math.abs(acrossIn) > HALF_VIEW_IN) return [];
    const driven = isDriven(hole.number);
    const D = rivetSize(hole.dash).diameterIn;
    return [
      {
        number: hole.number,
        alongIn,
        acrossIn,
        driven,
        diameterIn: driven ? (measuredIn.get(hole.number) ?? seededDiameterIn(release, hole)) : D
      }
    ];
  });
}

/** As wide as volume makes it at nominal height, with a spread that is the hole's own. */
function seededDiameterIn(release: Pick<Release, 'id' | 'facts'>, hole: ReleasedHole): number {
  const D = rivetSize(hole.dash).diameterIn;
  const volumeIn3 = predictedHeadIn3(release.facts, hole);
  const plainIn =
    volumeIn3 === null ? 1.5 * D : Math.sqrt((4 * volumeIn3) / (Math.PI * NOMINAL_HEIGHT_D * D));
  return plainIn * (1 + SPREAD * (2 * seeded(seedOf(`${release.id} ${hole.number}`))() - 1));
}
