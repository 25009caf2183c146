<script lang="ts">
  import { DRIVE } from '$lib/words/pages/drive';
  import { COMMON } from '$lib/words/pages/common';
  import { onMount } from 'svelte';
  import { tinykeys } from 'tinykeys';
  import { bestYoke, headsTouched, touchedOfRuns } from '$core/driving/driving-ways.ts';
  import { reachedRuns } from '$core/driving/reached-runs.ts';
  import type { RivetRun } from '$core/driving/rivet-runs.ts';
  import { standingHolders } from '$core/driving/driving-holders.ts';
  import { tone } from '$lib/client/tone';
  import { cold } from '$lib/client/cold.svelte';
  import { outsideFields } from '$lib/client/keys';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import DriveMap from '$lib/drawing/marks/DriveMap.svelte';
  import { usePrepareDesk } from '$lib/stations/prepare/prepare-desk.svelte';
  import OutboxNotice from '../../ui/OutboxNotice.svelte';
  import StationFrame from '../../ui/joint/StationFrame.svelte';
  import DriveCautions from '../../ui/kit/DriveCautions.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import { useReleaseDesk } from '../inspect/release-desk';
  import ReleaseFirst from '../inspect/ReleaseFirst.svelte';
  import Later from '$lib/ui/kit/Later.svelte';
  import { whenIdle } from '$lib/client/when-idle';
  import type { DrivingAccess } from '$core/driving/access.ts';
  import ColdPanel from './ColdPanel.svelte';
  import { useDriveDesk } from './open-drive';
  import { footSwitch, letGoOfFocus } from './foot-switch';
  import { LiveTeam } from './live-team.svelte';
  import MemberPanel from './MemberPanel.svelte';
  import { objectionsNow } from './objections-now';
  import OrderPanel from './OrderPanel.svelte';
  import BlindRivets from '../inspect/BlindRivets.svelte';
  import { useReworkDesk } from '../inspect/rework-desk.svelte';
  import SinceCard from '../inspect/SinceCard.svelte';
  import NamedCard from './NamedCard.svelte';
  import RunCard from './RunCard.svelte';
  import RunLot from './RunLot.svelte';
  import RunSetting from './RunSetting.svelte';
  import TeamCard from './TeamCard.svelte';
  import { safetyRead } from './safety-read';
  import TapCard from './TapCard.svelte';

  const workspace = useWorkspace();
  const preferences = usePreferences();
  const open = useDriveDesk();
  const released = useReleaseDesk();
  const rework = useReworkDesk();
  const ready = usePrepareDesk();
  const desk = $derived(open.desk);
  const person = $derived(released.person);
  /** it is as it was signed: nothing is entered here any more */
  const signed = $derived(released.signedBy !== null);
  const changed = $derived(desk !== null && desk.release.revision !== workspace.save.revision);
  const access = $derived(desk?.state.access?.access ?? null);
  const outline = $derived({
    widthIn: desk?.release.facts.widthIn ?? 0,
    heightIn: desk?.release.facts.overlapIn ?? 0
  });
  const tools = $derived(ready.figures.tools);
  const team = $derived(desk === null ? null : new LiveTeam(desk));
  $effect(() => team?.run());
  const NOT_TAKEN_HZ = 180;
  let placing = $state(false);
  /** whose yoke is shown on the map */
  let mapped = $state<string | null>(null);
  const reached = $derived.by(() => {
    const run = desk?.runs.find(({ key }) => key === mapped);
    if (!run || !access) return null;
    return new Set(bestYoke(run, outline, access, tools.yokes)?.from.keys());
  });
  /** runs as they can be driven: one that is partly blocked in two */
  const parts = $derived.by(() => {
    if (!desk) return [];
    const { runs, release } = desk;
    return access ? runs.flatMap((run) => reachedRuns(run, release, outline, access, tools)) : runs;
  });
  /** where neither set nor bar of the shop stands clear, of runs that are not driven without them */
  const touched = $derived.by(() => {
    if (!desk || !access || access.upstands.length === 0) return new Set<number>();
    return touchedOfRuns(parts, outline, access, tools);
  });
  const standing = $derived.by(() => {
    if (!desk) return new Set<number>();
    return standingHolders(
      desk.holders,
      desk.order,
      (number) => desk.stateOf(number)?.driven ?? false
    );
  });
  /** where the rim of the set would lie on the next manufactured head */
  const crowded = $derived(
    new Set(desk?.runs.flatMap((run) => headsTouched(run, desk.release.holes, tools)) ?? [])
  );
  const AHEAD = 5;
  const coldRuns = $derived(desk?.order.some((number) => desk.isCold(number)) ?? false);
  // what the server has counted changes what is left of a batch
  $effect(() => {
    if (coldRuns && desk && desk.desk.stored.length > 0) void cold.refresh();
  });

  // what is not met where the next rivet is driven: the same as stands beside its run
  $effect(() => {
    if (!desk) return;
    const { told } = ready;
    const steps = told && !changed ? { done: told.done, of: told.steps } : null;
    const { toolsSet } = open;
    desk.first.safetyRead = () => safetyRead(person);
    desk.first.objections = () =>
      objectionsNow(desk, { parts, outline, access, tools, steps, toolsSet });
  });
  // a press that logs nothing is heard
  $effect(() => {
    if (desk?.refused || desk?.first.pending) tone(NOT_TAKEN_HZ);
  });

  /** at hand without a network too */
  const accessSheet = () => import('./access/AccessSheet.svelte');
  onMount(() => whenIdle(accessSheet));
  onMount(() =>
    tinykeys(window, {
      Space: tap(() => desk?.tap(null)),
      Enter: tap(() => desk?.tap(null)),
      g: outsideFields(() => person !== '' && desk?.tap('good')),
      m: outsideFields(() => person !== '' && desk?.tap('more')),
      l: outsideFields(() => person !== '' && desk?.tap('again')),
      Backspace: outsideFields(() => person !== '' && released.signedBy === null && desk?.undo())
    })
  );
  const tap = (action: () => void) => footSwitch(() => person !== '' && action());
</script>

{#snippet setting(run: RivetRun)}
  {#if desk}
    <RunSetting {desk} {run} settings={open.toolsSet} jointId={workspace.id} />
    <RunLot {desk} {run} {person} />
  {/if}
{/snippet}
<svelte:window onclick={letGoOfFocus} />
{#if desk}
  {@const { facts, holes, heldOpen, number } = desk.release}
  <StationFrame>
    {#snippet drawing()}
      <div class="drawing">
        <p class="label" data-testid="release-now" data-release={number}>
          Release {number}, seen from the manufactured heads · layout numbers · □ temporary fastener
        </p>
        <DriveMap
          {holes}
          {heldOpen}
          widthIn={facts.widthIn}
          overlapIn={facts.overlapIn}
          states={desk.state.holes}
          order={desk.order}
          here={desk.here}
          holders={standing}
          upstands={access?.upstands ?? []}
          {reached}
          {touched}
          {crowded}
          ahead={AHEAD}
          onpick={(hole) => desk.point(hole)}
        />
        <p class="hint legend" aria-hidden="true">
          ● next · ✓ driven · + drive further · ! flagged · ◇ open hole{#if reached !== null}&nbsp;·
            ring: reached by the yoke, dotted: not{/if}{#if touched.size > 0}&nbsp;· ╲ a tool hits
            an obstruction{/if}{#if crowded.size > 0}&nbsp;· ╱ the set’s rim lies on the next head{/if}
        </p>
        <div class="under">
          <div>
            <p class="label">Method and tools</p>
            {#if access === null && signed}
              <p class="hint">{DRIVE.accessNotEntered}</p>
            {:else if access === null}
              <Notice
                level="attention"
                title="Enter access to the rivets"
                text={DRIVE.freeEdgesWhatStandsUp}
              />
              <button
                class="act"
                type="button"
                disabled={person === ''}
                onclick={() => (placing = true)}>{DRIVE.howDoesOneGetAt}</button
              >
            {:else}
              {#each parts as run (`${run.key} ${run.holes[0]?.number}`)}
                <RunCard
                  {run}
                  some={desk.runs.every((whole) => whole !== run)}
                  {outline}
                  {access}
                  {tools}
                  mapped={mapped === run.key}
                  onmap={() => (mapped = mapped === run.key ? null : run.key)}
                  arithmetic={workspace.arithmetic}
                  {setting}
                />
              {/each}
              {#if !signed}<button
                  class="act"
                  type="button"
                  disabled={person === ''}
                  onclick={() => (placing = true)}>{DRIVE.changeHowOneGetsAt}</button
                >{/if}
              <p class="hint">entered by {desk.state.access?.by}</p>
            {/if}
          </div>
          <div>
            <OrderPanel {desk} arithmetic={workspace.arithmetic} />
          </div>
        </div>
      </div>
    {/snippet}
    {#snippet inputs()}
      {#if released.since}<SinceCard since={released.since} document={workspace.entered} />{/if}
      {#if desk}
        {#if changed}
          <Notice
            level="attention"
            testid="changed-since-release"
            title="The joint has changed since release {number}"
            text="Entries here belong to this release. Re-release in Inspect before driving the new layout."
          />
        {/if}
        {#if released.count}<TapCard
            {desk}
            count={released.count}
            {person}
            whoHref="/who?back=/joints/{workspace.id}/drive"
            checkHref="/joints/{workspace.id}/inspect"
            signedBy={released.signedBy}
            {setting}
          />{/if}
        <OutboxNotice outbox={desk.outbox} what="the rivets logged" />
        {#if team && !signed}<TeamCard {team} {desk} {person} />{/if}
        <NamedCard {desk} {person} whoHref="/who?back=/joints/{workspace.id}/drive" />
        {#if access?.closedMember}<MemberPanel
            {desk}
            {access}
            {tools}
            {person}
            arithmetic={workspace.arithmetic}
          />{/if}
        {#if rework.desk}<BlindRivets
            rework={rework.desk}
            {person}
            signed={released.signedBy !== null}
          />{/if}
        <ColdPanel {desk} jobId={open.jobId} {person} arithmetic={workspace.arithmetic} />
        {#if desk.holders.tooFew}
          <Notice
            level="attention"
            title="Too few temporary fasteners for the row ends"
            text="{desk.holders.start
              .length} of the final size are in the shop: clamp the other ends."
          />
        {/if}
        {#if desk.toLook.length > 0}
          <Notice
            level="attention"
            title={DRIVE.toBeLookedAt}
            text="Hole {desk.toLook.map(([hole]) => hole).join(', ')}"
          />
        {/if}
        <p class="wraps-wide">
          {#if (released.count?.driven ?? 0) > 0 && desk.here !== null}
            <a class="act" href="/joints/{workspace.id}/inspect">Inspect first heads ▸</a>
          {/if}
          <a
            class="act"
            href="/api/joints/{workspace.id}/files/driving.pdf?paper={preferences.paper}"
            download>Driving card (PDF)</a
          >
          <a class="act" href="/setups/tools">{COMMON.theShopsTools}</a>
        </p>
        <DriveCautions />
      {/if}
    {/snippet}
    {#snippet foot()}
      {#if !signed}<footer class="keys">
          <span><kbd>Space</kbd> or foot switch: driven</span>
          <span><kbd>G</kbd> good, <kbd>M</kbd> drive further, <kbd>L</kbd> flag</span>
          <span><kbd>Backspace</kbd> undo</span>
        </footer>{/if}
    {/snippet}
  </StationFrame>
  {#if placing}
    <Later
      load={accessSheet}
      wanted
      props={{
        open: placing,
        access,
        release: desk.release,
        runs: desk.runs,
        tools,
        onsave: (entered: DrivingAccess) => desk.place(entered),
        onclose: () => (placing = false)
      }}
    />
  {/if}
{:else}
  <ReleaseFirst
    title="Release the layout before driving"
    text="Driving is logged against a release, so later layout changes do not affect it."
    what="to drive"
    act={DRIVE.releaseItAndStartDriving}
    station="drive"
  />
{/if}

<style>
  .drawing {
    display: flex;
    flex-direction: column;
    gap: 8px;
    height: 100%;
    overflow-y: auto;
  }
  /* what does not fit scrolls; nothing is squeezed */
  .drawing > :global(*) {
    flex-shrink: 0;
  }
  .under {
    display: grid;
    grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
    gap: 14px;
  }
  .under > div {
    display: flex;
    flex-direction: column;
    gap: 8px;
  }
  @container (max-width: 620px) {
    .under {
      grid-template-columns: minmax(0, 1fr);
    }
  }
  .keys {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 24px;
    padding: 10px 16px;
    background: var(--bench);
    border-top: 1.5px solid var(--line);
  }
</style>
