import { printOf } from '$core/plan/blocks.ts';
import type { Station } from '$core/plan/plan-shape.ts';
import type { Seen } from '$lib/client/seen.svelte';
import { blockInWords, PLANNED_AT } from '$lib/words/warnings';
import type { WriteLength } from '$lib/words/writing';
import type { OpenJoint } from './station';
import { STATIONS, type StationKey } from './stations';

/**
 * How a station stands: `stop` is mended there, `waits` for an earlier one; `done` means that nothing stops it and that it
 * was looked at as it is, `unseen` that it was not.
 */
export interface Standing {
  mark: 'done' | 'unseen' | 'stop' | 'waits' | null;
  text: string;
  /** beyond what has room on the line */
  more?: string;
}

export const isPlanStation = (key: string): key is Station => key in PLANNED_AT;

/** Where every station of a joint stands. A stop travels: whatever comes after it waits. */
export function standings(
  joint: OpenJoint,
  seen: Seen,
  length: WriteLength
): Record<StationKey, Standing> {
  const { blocks, now } = joint.workspace;
  const [first] = blocks;
  const stoppedAt = first ? STATIONS.findIndex(({ key }) => key === first.station) : Infinity;
  const entries = STATIONS.map((station, index): [StationKey, Standing] => {
    const { key } = station;
    const own = blocks.find((block) => block.station === key);
    if (own) return [key, { mark: 'stop', text: blockInWords(own, length).title }];
    const { text, more, done } = station.status(joint);
    if (first && index > stoppedAt && !station.standsAlone(joint))
      return [key, { mark: 'waits', text: `blocked by ${PLANNED_AT[first.station]}` }];
    if (!done) return [key, { mark: null, text, more }];
    const looked = !isPlanStation(key) || (now !== null && seen.has(key, printOf(now.plan, key)));
    return [key, { mark: looked ? 'done' : 'unseen', text, more }];
  });
  return Object.fromEntries(entries) as Record<StationKey, Standing>;
}

/**
 * Where to go on from a station: to what stops the joint, else to what was not looked at, else to the next work.
 *
 * @param alone it rests on nothing of the joint as it is now: its own work is what comes next
 * @returns null where that is here, or nothing is left
 */
export function nextOf(
  standing: Record<StationKey, Standing>,
  current: StationKey,
  alone: boolean
): { key: StationKey; text: string } | null {
  const at = STATIONS.findIndex(({ key }) => key === current);
  const isOpen = ({ key }: (typeof STATIONS)[number]) => standing[key].mark !== 'done';
  // what it waits for stands above it, with the way there
  if (alone || standing[current].mark === 'waits') return null;
  // figures are missing, and the station says which
  if (isPlanStation(current) && standing[current].mark === null) return null;
  const stopped = STATIONS.find(({ key }) => standing[key].mark === 'stop');
  if (stopped)
    return stopped.key === current ? null : { key: stopped.key, text: `Fix in ${stopped.name}` };
  const next =
    STATIONS.find((one) => one.key !== current && standing[one.key].mark === 'unseen') ??
    STATIONS.slice(at + 1).find(isOpen) ??
    STATIONS.find((one) => one.key !== current && isOpen(one));
  if (!next) return null;
  const back = STATIONS.indexOf(next) < at;
  return { key: next.key, text: `${back ? 'Review' : 'Next:'} ${next.name}` };
}
