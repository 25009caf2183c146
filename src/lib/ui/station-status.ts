import type { Plan } from '$core/plan-shape.ts';
import type { Issue } from '$core/joint/issue.ts';
import type { CheckDesk } from '$lib/client/check-desk.svelte';
import type { Workspace } from '$lib/client/workspace.svelte';
import { readyPlan } from '$core/ready/ready-plan.ts';
import { readyProgress } from '$core/ready/progress.ts';
import type { ReadyDesk } from '$lib/client/ready-desk.svelte';
import { STATIONS, type StationKey } from '$lib/stations.ts';

type Status = Record<StationKey, { text: string; done: boolean }>;

const open = (text: string) => ({ text, done: false });
const done = (text: string) => ({ text, done: true });

const partsOf = ({ stacks }: Plan): string => {
  const parts = new Set(
    stacks.flatMap(({ length }) => (length.ok ? [length.result.partNumber] : []))
  );
  return parts.size === 1 ? ([...parts][0] ?? '') : `${parts.size} rivet lengths`;
};

/** How many rivets, and where they are counted when that is not the whole joint. */
function neededIn({ needs }: Plan): string {
  const counts = needs.flatMap(({ required }) => (required.ok ? [required.result.required] : []));
  const [first] = needs;
  if (needs.length === 1 && first?.where.includes('each side')) return `${counts[0]} on each side`;
  if (needs.length === 1 && first?.where.includes('half')) return `${counts[0]} on each half`;
  return `${counts.join(' and ')} rivets needed`;
}

/** What each station says of itself on the station line. */
export function stationStatus(
  workspace: Workspace,
  issue: Issue | null,
  desk: CheckDesk | null,
  readyDesk: ReadyDesk
): Status {
  const plan = workspace.now?.plan;
  const stopped = (station: string) =>
    plan?.warnings.some((warning) => warning.station === station && warning.level === 'stop');
  const later = Object.fromEntries(STATIONS.map(({ key }) => [key, open('comes next')])) as Status;

  const carry =
    plan === undefined
      ? open('needs a figure')
      : plan.required === null
        ? done('it only holds')
        : plan.required.ok
          ? done(neededIn(plan))
          : open('not possible');
  const layOut =
    plan === undefined
      ? open('—')
      : !plan.layout.ok
        ? open('not possible')
        : stopped('lay-out')
          ? open('a limit is broken')
          : done(
              `${plan.layout.result.drilled} holes, ${plan.layout.result.lines.length} ${plan.layout.result.lines.length === 1 ? 'line' : 'lines'}`
            );
  const stack =
    plan === undefined
      ? open('—')
      : plan.stacks.some(({ length }) => !length.ok)
        ? open('not possible')
        : stopped('stack')
          ? open('needs a look')
          : done(partsOf(plan));

  const steps =
    plan && workspace.now
      ? readyPlan(
          workspace.now.definition,
          plan,
          workspace.profile,
          readyDesk.figures,
          readyDesk.recorded
        ).steps
      : [];
  const { doneSteps } = readyProgress(steps, readyDesk.state);
  const makeReady =
    steps.length === 0
      ? open('—')
      : doneSteps === steps.length
        ? done('all steps done')
        : open(`${doneSteps} of ${steps.length} steps`);

  let check = open('not issued yet');
  if (issue && desk) {
    const looked = [...desk.states.values()].filter((state) => state.last).length;
    const bad = [...desk.states.values()].some(
      (state) => state.last && state.last.frozen.verdict !== 'accept'
    );
    const text = `${looked} of ${issue.holes.length} looked at`;
    check = looked === issue.holes.length && !bad ? done(text) : open(text);
  }
  return { ...later, carry, 'lay-out': layOut, stack, 'make-ready': makeReady, check };
}
