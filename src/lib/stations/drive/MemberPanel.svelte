<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { DrivingAccess } from '$core/driving/access.ts';
  import { closedMemberPlan } from '$core/driving/closed-member.ts';
  import { cameraLooks } from '$core/driving/camera-looks.ts';
  import type { DrivingTools } from '$core/drive/driving-tools.ts';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import CameraSheet from './CameraSheet.svelte';
  import type { DriveDesk } from './drive-desk.svelte';

  /** Inside a closed member: where the rod stands for the next rivet, how far to pull, when the shims change. */
  interface Props {
    desk: DriveDesk;
    access: DrivingAccess;
    tools: DrivingTools;
    arithmetic: boolean;
    person: string;
  }
  let { desk, access, tools, arithmetic, person }: Props = $props();
  const preferences = usePreferences();
  const length = preferences.inWords;
  const bar = $derived(tools.wedgeBars[0]);
  const { facts, holes } = $derived(desk.release);
  /** the member does not change with a tap */
  const order = $derived(desk.order);
  const found = $derived(
    access.member && bar ? closedMemberPlan(facts, holes, order, access.member, bar) : null
  );
  const here = $derived(
    found?.ok && desk.here !== null ? found.result.rivets.get(desk.here) : undefined
  );
  const run = $derived(
    found?.ok
      ? found.result.runs.findIndex((one) => desk.here !== null && one.holes.includes(desk.here))
      : -1
  );
  const { driven, unseen, again } = $derived(
    cameraLooks(
      desk.state,
      order,
      facts.limits,
      (number) => desk.holeOf(number)?.dash ?? facts.dash
    )
  );
  let looking = $state(false);
  const shims = (inches: number) => (inches === 0 ? 'no shim' : `shims ${length(inches)}`);
</script>

<section aria-label="Closed member" data-testid="member">
  <p class="label">Inside the member{bar ? `: ${bar.name}` : ''}</p>
  {#if !bar}
    <Notice level="attention" title="The shop has no wedge bar" text="Add one to the tool list." />
  {:else if found === null}
    <Notice
      level="attention"
      title="Member dimensions missing"
      text="Enter heights and walls under Access."
    />
  {:else if !found.ok}
    <Notice
      level="stop"
      title="The wedge bar does not fit every rivet"
      text={preferences.refusal(found.error.said)}
    />
  {:else}
    {#if here}
      <dl>
        <dt>Rod at</dt>
        <dd><strong>{length(here.indexIn)}</strong> for rivet {here.hole}</dd>
        <dt>Clear inside</dt>
        <dd>{length(here.insideIn)}, {shims(here.shimIn)}</dd>
        <dt>Touches at</dt>
        <dd>{length(here.touchPullIn)} pulled</dd>
        <dt>Finished at</dt>
        <dd><strong>{length(here.finalPullIn)}</strong> pulled</dd>
      </dl>
      {#if arithmetic}<Arithmetic
          work={[...here.work]}
          source="wedge bar: what is free, over its rise"
        />{/if}
    {/if}
    <ol data-testid="shim-runs">
      {#each found.result.runs as { shimIn, holes: served }, at (at)}
        <li class:now={at === run}>
          {shims(shimIn)}: {served[0]}{served.length > 1 ? ` to ${served.at(-1)}` : ''} ({served.length})
        </li>
      {/each}
    </ol>
    <p data-testid="member-looks">
      {driven.length} driven, {driven.length - unseen.length} seen by camera{#if again.length > 0}&nbsp;·
        <strong class="again">check: {again.join(', ')}</strong>{/if}
    </p>
    {#if driven.length > 0}
      <button
        class="act"
        type="button"
        disabled={person === ''}
        onclick={() => (looking = true)}
        data-testid="open-camera">Camera on rivet {unseen[0] ?? driven.at(-1)}</button
      >
    {/if}
    <p class="hint">
      {found.result.runs.length - 1} changes of shims; camera on each head before the rod moves on.
    </p>
  {/if}
</section>
{#if looking}
  <CameraSheet
    {desk}
    first={unseen[0] ?? driven.at(-1) ?? 1}
    open={looking}
    onclose={() => (looking = false)}
  />
{/if}

<style>
  section {
    display: grid;
    gap: 8px;
    padding: 10px 12px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    font-variant-numeric: tabular-nums;
  }
  dl {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 2px 12px;
  }
  dt {
    color: var(--ink-soft);
  }
  dd strong {
    font-size: 1.3rem;
  }
  ol {
    padding-left: 1.2rem;
    list-style: decimal;
  }
  .again {
    color: var(--amber);
  }
  .now {
    font-weight: 700;
    color: var(--dye);
  }
</style>
