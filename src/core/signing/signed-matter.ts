import type { HoleState } from '../inspect/hole-events.ts';
import type { NextHead } from '../inspect/next-head.ts';
import type { DriveEvent, DriveState } from '../driving/drive-events.ts';
import { namedStill } from '../driving/named-still.ts';
import type { Release } from '../release/release.ts';
import type { SinceRelease } from '../releases/since-release.ts';
import type { ReworkState } from '../reworking/rework-state.ts';

/** What one sent of another's work, from the browser that the other was signed in on then. */
export interface SentByAnother {
  by: string;
  sentBy: string;
  holes: number[];
}

/** Who sent what of whose work, each pair of people once; holes in order, of what is about none none. */
export function sentByOthers(
  events: readonly { by: string; sentBy?: string; hole?: number | null }[]
): SentByAnother[] {
  const pairs = new Map<string, SentByAnother>();
  for (const { by, sentBy, hole } of events) {
    if (sentBy === undefined) continue;
    const pair = pairs.get(`${by}\n${sentBy}`) ?? { by, sentBy, holes: [] };
    if (typeof hole === 'number' && !pair.holes.includes(hole)) pair.holes.push(hole);
    pairs.set(`${by}\n${sentBy}`, pair);
  }
  return [...pairs.values()].map((pair) => ({
    ...pair,
    holes: pair.holes.sort((a, b) => a - b)
  }));
}

/** Who was named by another as holding gun or bar. */
export interface NamedOnly {
  by: string;
  named: string;
  holes: number[];
}

/** Who was named by whom at which holes, each pair of people once. */
export function namedByOthers(
  events: readonly DriveEvent[],
  nameOf: (person: string) => string
): NamedOnly[] {
  const pairs = namedStill(events).map(({ hole, by, person }) => ({
    by: nameOf(person),
    sentBy: by,
    hole
  }));
  return sentByOthers(pairs).map(({ by, sentBy, holes }) => ({ by: sentBy, named: by, holes }));
}

/** Everything that a release came to, as signing weighs it. */
export interface SignedMatter {
  /** as released */
  asReleased: Pick<Release, 'facts' | 'holes'>;
  /** as reworked */
  release: Pick<Release, 'facts' | 'holes' | 'heldOpen'>;
  drive: DriveState;
  states: ReadonlyMap<number, HoleState>;
  rework: ReworkState;
  due: NextHead;
  /** heads that stay on the data holder’s word */
  left: ReadonlySet<number>;
  /** rivets replaced in earlier releases, of which this one knows nothing: it was made when releases took nothing over */
  earlier: readonly { release: number; holes: number[] }[];
  /** what it took over from the release before; null for a first one */
  since: SinceRelease | null;
  /** what was sent by another than who did it */
  sent: readonly SentByAnother[];
  /** who was named as holding gun or bar and did not confirm it */
  named: readonly NamedOnly[];
  /** part numbers driven as received before anybody told their lot */
  withoutLot: readonly string[];
  /** runs whose tool has no setting that its first heads released; `tool` null where none was begun */
  settings: readonly { part: string; tool: string | null }[];
  /** steps before driving; null where the joint has changed since */
  steps: { done: number; of: number } | null;
  /** findings of service on the joint, and those of them that are open: they count for no release */
  oldWork: { findings: number; open: number };
  /** the joint's present revision, where it is another than the release's */
  changedTo: number | null;
}
