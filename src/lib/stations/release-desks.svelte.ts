import type { HoleEvent } from '$core/inspect/hole-events.ts';
import type { DriveEvent } from '$core/driving/drive-events.ts';
import { countRelease, type ReleaseCount } from '$core/releases/release-count.ts';
import type { Release } from '$core/release/release.ts';
import type { ShopFigures } from '$core/prepare/shop-figures.ts';
import type { ReworkEvent } from '$core/reworking/rework-subject.ts';
import { InspectDesk } from './inspect/inspect-desk.svelte';
import { ReworkDesk } from './inspect/rework-desk.svelte';
import { DriveDesk } from './drive/drive-desk.svelte';

/** What the server has of a release’s logs. */
interface ReleaseLogs {
  rework: ReworkEvent[];
  driving: DriveEvent[];
  heads: HoleEvent[];
}

/**
 * One release in this browser: its three logs, each held against what those before it come to, in the layers of `releaseNow`.
 * Entries that are not stored yet count where a desk says so.
 */
export class ReleaseDesks {
  readonly rework: ReworkDesk;
  readonly drive: DriveDesk;
  readonly heads: InspectDesk;
  /** every count of it, with what is not stored yet */
  readonly count: ReleaseCount = $derived.by(() => {
    const { heads, rework, drive } = this;
    return countRelease({
      ...heads.counted,
      rework: rework.state,
      drive: drive.state,
      due: heads.due
    });
  });

  constructor(release: Release, logs: ReleaseLogs, person: string, figures: () => ShopFigures) {
    const rework = (this.rework = new ReworkDesk(release, logs.rework, person));
    const drive = (this.drive = new DriveDesk(
      release,
      logs.driving,
      person,
      figures,
      () => rework.state
    ));
    this.heads = new InspectDesk(release, logs.heads, () => ({
      rework: rework.state,
      drive: drive.state,
      order: drive.order
    }));
    this.heads.plates = () => figures().plates;
    drive.earlier.lookedAt = () =>
      new Map(
        [...this.heads.states].flatMap(([hole, { ofRivet }]) => {
          const [first] = ofRivet;
          return first ? [[hole, first.at] as const] : [];
        })
      );
  }

  /** Picks up what an earlier visit left; whoever begins it ends it. */
  hold(): () => void {
    const desks = [this.heads, this.rework, this.drive];
    for (const desk of desks) void desk.restore();
    return () => {
      for (const desk of desks) desk.stop();
    };
  }
}
