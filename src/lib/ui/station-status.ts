import type { Issue } from '$core/joint/issue.ts';
import type { CheckDesk } from '$lib/client/check-desk.svelte';
import type { Workspace } from '$lib/client/workspace.svelte';
import { STATIONS, type StationKey } from '$lib/stations.ts';

type Status = Record<StationKey, { text: string; done: boolean }>;

const open = (text: string) => ({ text, done: false });
const done = (text: string) => ({ text, done: true });

/** What each station says of itself on the station line. */
export function stationStatus(
  workspace: Workspace,
  issue: Issue | null,
  desk: CheckDesk | null
): Status {
  const plan = workspace.now?.plan;
  const stopped = (station: string) =>
    plan?.warnings.some((warning) => warning.station === station && warning.level === 'stop');
  const later = Object.fromEntries(STATIONS.map(({ key }) => [key, open('comes next')])) as Status;

  const carry =
    plan === undefined
      ? open('needs a figure')
      : plan.required.ok
        ? done(`${plan.required.result.required} rivets needed`)
        : open('not possible');
  const layOut =
    plan === undefined
      ? open('—')
      : !plan.layout.ok
        ? open('not possible')
        : stopped('lay-out')
          ? open('a limit is broken')
          : done(
              `${plan.layout.result.total} holes, ${plan.layout.result.rows.length} ${plan.layout.result.rows.length === 1 ? 'row' : 'rows'}`
            );
  const stack =
    plan === undefined
      ? open('—')
      : !plan.length.ok
        ? open('not possible')
        : stopped('stack')
          ? open('needs a look')
          : done(plan.length.result.partNumber);

  let check = open('not issued yet');
  if (issue && desk) {
    const looked = [...desk.states.values()].filter((state) => state.last).length;
    const bad = [...desk.states.values()].some(
      (state) => state.last && state.last.judged.verdict !== 'accept'
    );
    const text = `${looked} of ${issue.holes.length} looked at`;
    check = looked === issue.holes.length && !bad ? done(text) : open(text);
  }
  return { ...later, carry, 'lay-out': layOut, stack, check };
}
