import type { DrivingAccess } from '$core/driving/access.ts';
import type { DrivingTools } from '$core/drive/driving-tools.ts';
import { objections, type Objection } from '$core/driving/objections.ts';
import type { Outline } from '$core/driving/reach.ts';
import { hasWay } from '$core/driving/reached-runs.ts';
import type { RivetRun } from '$core/driving/rivet-runs.ts';
import { settingOfRun } from '$core/tool-setting/run-setting.ts';
import type { ToolLine } from '$lib/setting-view';
import type { DriveDesk } from './drive-desk.svelte';

interface Around {
  /** runs as they can be driven */
  parts: readonly RivetRun[];
  outline: Outline;
  /** null while nobody has entered it */
  access: DrivingAccess | null;
  tools: DrivingTools;
  /** steps of making ready that are ticked; null where they are of another layout than what is released */
  steps: { done: number; of: number } | null;
  toolsSet: readonly ToolLine[];
}

/** What stands against driving the next rivet: the same as stands beside its run. */
export function objectionsNow(desk: DriveDesk, around: Around): Objection[] {
  const { parts, outline, access, tools, steps, toolsSet } = around;
  const open = desk.runs.filter(({ holes }) =>
    holes.some(({ number }) => !desk.stateOf(number)?.driven)
  );
  return objections(
    steps,
    open.map((run) => {
      const used = settingOfRun(desk.release, run, toolsSet, desk.useNow(run));
      const { setup } = used?.setting ?? {};
      return {
        part: run.partNumber,
        hasWay: !access || hasWay(run, parts, desk.here, { outline, access, tools }),
        // practice qualifies none, and asks for none
        setting: desk.release.facts.practice
          ? { tool: '', released: true }
          : setup
            ? { tool: setup.name, released: used?.status.state === 'released' }
            : null
      };
    })
  );
}
