<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import { HEAD_LIMITS } from '$core/catalog/head-limits.ts';
  import { issuedParts } from '$core/issue/issue.ts';
  import { useIssueDesk } from '$lib/stations/check/issue-desk';
  import { issueJointAt } from '$lib/api/joints.ts';
  import { call } from '$lib/client/call';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import HoleMap from '$lib/drawing/plan/HoleMap.svelte';
  import RunChart from '$lib/drawing/chart/RunChart.svelte';
  import { rowInWords } from '$lib/words/heads';
  import CheckSheet from './CheckSheet.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import StationFrame from '../../ui/joint/StationFrame.svelte';
  import VerdictLegend from '../../ui/kit/VerdictLegend.svelte';

  const workspace = useWorkspace();
  const open = useIssueDesk();
  const person = $derived(open.person);
  let refusal = $state('');
  let issuing = $state(false);

  const changed = $derived(open.issue !== null && open.issue.revision !== workspace.save.revision);
  const planned = $derived(workspace.now?.plan);
  const pick = (hole: number) => (workspace.picked = hole);

  async function issue(): Promise<void> {
    issuing = true;
    refusal = '';
    await workspace.save.flush();
    if (workspace.save.state.kind !== 'saved') {
      // The server would freeze what it has, which is not what this page shows.
      refusal =
        'What is typed here is not saved yet, so it was not issued. See the mark at the top.';
      issuing = false;
      return;
    }
    const reply = await call(
      issueJointAt,
      { joint: workspace.id },
      { revision: workspace.save.revision }
    );
    if (!reply.reached) refusal = 'The server could not be reached. Nothing was issued; try again.';
    else if (!reply.ok) refusal = reply.message;
    else await invalidateAll();
    issuing = false;
  }
</script>

{#snippet issueButton(text: string)}
  {#if person !== ''}
    <button class="act main" type="button" disabled={issuing} onclick={() => void issue()}
      >{text}</button
    >
  {:else}
    <a class="act main" href="/who?back=/joints/{workspace.id}/check"
      >Say who is at the bench first</a
    >
  {/if}
  {#if refusal}<Notice level="stop" title="Not issued" text={refusal} />{/if}
{/snippet}

{#if open.issue && open.desk}
  {@const { facts, holes } = open.issue}
  {@const limits = HEAD_LIMITS[facts.limits]}
  <StationFrame worksheetFirst>
    {#snippet drawing()}
      {#if open.issue && open.desk}
        <div class="drawing">
          <p class="label">
            Issue {open.issue.number}, seen from the driven side · {issuedParts(facts).join(', ')}
          </p>
          <HoleMap
            {holes}
            heldOpen={open.issue.heldOpen}
            widthIn={facts.widthIn}
            overlapIn={facts.overlapIn}
            states={open.desk.states}
            onItsWay={(hole) => open.desk?.isOnItsWay(hole) ?? false}
            picked={workspace.picked}
            onpick={pick}
          />
          <VerdictLegend states={open.desk.states} />
          <div class="run">
            <RunChart
              events={open.desk.events}
              limits={facts.limits}
              picked={workspace.picked}
              onpick={pick}
              arithmetic={workspace.arithmetic}
            />
          </div>
        </div>
      {/if}
    {/snippet}
    {#snippet worksheet()}
      {#if changed}
        <Notice
          level="attention"
          title="The joint has changed since issue {open.issue?.number}"
          text="Heads checked here belong to the holes as issued. Issue it again to check the new layout."
        >
          <div class="again">{@render issueButton('Issue it again')}</div>
        </Notice>
      {/if}
      {#each open.desk?.rowsApart ?? [] as { row, share, meaning } (row)}
        <Notice level="attention" {...rowInWords(row, share, meaning)} />
      {/each}
      {#if open.desk}
        <CheckSheet
          desk={open.desk}
          {person}
          hole={holes.find(({ number }) => number === workspace.picked)?.number ??
            holes[0]?.number ??
            1}
          onpick={pick}
        />
      {/if}
    {/snippet}
    {#snippet foot()}
      <footer class="keys">
        <span><kbd>Enter</kbd> to height, then record and next</span>
        <span><kbd>[</kbd> <kbd>]</kbd> hole back, on</span>
        <span class="limits">
          limits: {facts.limits}, {limits.diameterD.low.toFixed(2)}–{limits.diameterD.high.toFixed(
            2
          )} D wide,
          {limits.heightD.low.toFixed(2)}–{limits.heightD.high.toFixed(2)} D high
        </span>
        {#if facts.keptClosed !== null}<span data-testid="kept-closed"
            >not taken apart; chips and burrs accepted: {facts.keptClosed}</span
          >{/if}
      </footer>
    {/snippet}
  </StationFrame>
{:else}
  <div class="begin">
    <h1>Issue the layout before heads are checked</h1>
    <p>
      Issuing freezes the holes, the rivet and the rules as issue 1, so that every measured head
      belongs to the joint as it was laid out.
    </p>
    {#if planned?.layout.ok}
      <p class="what">{planned.layout.result.rivets} rivets to check</p>
      {@render issueButton('Issue it and start checking')}
    {:else}
      <p>There is no layout to issue yet: Carry and Lay out say what is missing.</p>
      <a class="act" href="/joints/{workspace.id}/carry">To Carry</a>
    {/if}
  </div>
{/if}

<style>
  .drawing {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto auto auto minmax(0, 1fr);
    gap: 6px;
    height: 100%;
  }
  .run {
    min-height: 0;
  }
  .again {
    padding-top: 8px;
  }
  .keys {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 24px;
    padding: 10px 16px;
    background: var(--bench);
    border-top: 1.5px solid var(--line);
  }
  .limits {
    margin-left: auto;
    color: var(--ink-soft);
    font-variant-numeric: tabular-nums;
  }
  .begin {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: 1rem;
    max-width: 620px;
    padding: 3rem;
  }
  h1 {
    font-size: 1.7rem;
  }
  .what {
    font-size: 1.3rem;
    font-weight: 700;
  }
  @media (max-width: 900px) {
    .run {
      height: 240px;
    }
  }
</style>
