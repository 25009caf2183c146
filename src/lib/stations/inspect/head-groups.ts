import type { HeadInD } from '$core/inspect/hole-events.ts';
import type { HoleDriven } from '$core/driving/drive-events.ts';
import { rivetRuns, runKey } from '$core/driving/rivet-runs.ts';
import { rivetOfHole } from '$core/driving/rivet-of-hole.ts';
import type { Release } from '$core/release/release.ts';
import { settingAt, type SettingSpan } from '$core/records/rivet-record.ts';

/** Heads that belong together: measured by one person, of one run, under one setting, from one batch. */
export interface HeadGroup {
  value: string;
  text: string;
  has: (head: HeadInD) => boolean;
}

interface Around {
  release: Pick<Release, 'facts' | 'holes'>;
  heads: readonly HeadInD[];
  /** what is known of driving, by hole */
  driven: ReadonlyMap<number, Pick<HoleDriven, 'driven' | 'hitAt' | 'batch'>>;
  /** settings of the joint’s tools, with the tool’s name */
  settings: readonly (SettingSpan & { tool: string })[];
  /** lots of cold batches, by the batch’s id */
  lots: ReadonlyMap<string, string>;
}

/** The groups that tell anything: those that some heads belong to and others do not. */
export function headGroups({ release, heads, driven, settings, lots }: Around): HeadGroup[] {
  const holes = new Map(release.holes.map((hole) => [hole.number, hole]));
  const rivetOf = (number: number) => {
    const hole = holes.get(number);
    return hole ? rivetOfHole(release.facts, hole) : null;
  };
  const batchOf = ({ hole }: HeadInD) => driven.get(hole)?.batch ?? null;
  const settingOf = ({ hole }: HeadInD): string | null => {
    const tap = driven.get(hole);
    const rivet = rivetOf(hole);
    return tap?.driven && rivet ? settingAt(rivet, settings, tap.hitAt) : null;
  };
  const once = <T>(all: readonly (T | null)[]): T[] => [
    ...new Set(all.filter((one) => one !== null))
  ];
  const groups: HeadGroup[] = [
    ...once(heads.map(({ by }) => by)).map((by) => ({
      value: `by ${by}`,
      text: `measured by ${by}`,
      has: (head: HeadInD) => head.by === by
    })),
    ...rivetRuns(release).map(({ key, partNumber }) => ({
      value: `run ${key}`,
      text: partNumber,
      has: ({ hole }: HeadInD) => {
        const rivet = rivetOf(hole);
        return rivet !== null && runKey(rivet) === key;
      }
    })),
    ...once(heads.map(settingOf)).map((id) => ({
      value: `setting ${id}`,
      text: `set: ${settings.find((one) => one.id === id)?.tool ?? 'a tool'}`,
      has: (head: HeadInD) => settingOf(head) === id
    })),
    ...once(heads.map(batchOf)).map((id) => ({
      value: `batch ${id}`,
      text: `batch of lot ${lots.get(id) ?? '?'}`,
      has: (head: HeadInD) => batchOf(head) === id
    }))
  ];
  return groups.filter(({ has }) => heads.some(has) && !heads.every(has));
}
