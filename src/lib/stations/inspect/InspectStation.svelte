<script lang="ts">
  import { CONNECTION } from '$lib/words/connection.ts';
  import { CHECK } from '$lib/words/pages/inspect';
  import { COMMON } from '$lib/words/pages/common';
  import { onMount } from 'svelte';
  import { headLimits, limitsCalled } from '$core/catalog/head-limits.ts';
  import { headsInD } from '$core/inspect/hole-events.ts';
  import { usePrepareDesk } from '$lib/stations/prepare/prepare-desk.svelte';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import { releasedParts } from '$core/release/release.ts';
  import { useReleaseDesk } from '$lib/stations/inspect/release-desk';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import HoleMap from '$lib/drawing/marks/HoleMap.svelte';
  import GateChart from '$lib/drawing/chart/GateChart.svelte';
  import RunChart from '$lib/drawing/chart/RunChart.svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { seenVerdict } from '$core/driving/head-by-camera.ts';
  import { useDriveDesk } from '$lib/stations/drive/open-drive';
  import { seenInWords } from '$lib/words/driving';
  import { rowInWords } from '$lib/words/heads';
  import ReleaseButton from './ReleaseButton.svelte';
  import ReleaseFirst from './ReleaseFirst.svelte';
  import InspectSheet from './InspectSheet.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import StationFrame from '../../ui/joint/StationFrame.svelte';
  import Later from '$lib/ui/kit/Later.svelte';
  import Choice from '../../ui/kit/Choice.svelte';
  import Pick from '../../ui/kit/Pick.svelte';
  import { cold } from '$lib/client/cold.svelte';
  import DueBar from './DueBar.svelte';
  import { headGroups } from './head-groups';
  import BlindRivets from './BlindRivets.svelte';
  import SinceCard from './SinceCard.svelte';
  import FarSide from './FarSide.svelte';
  import HeardHeads from './HeardHeads.svelte';
  import OldWork from './OldWork.svelte';
  import ReworkPanel from './rework/ReworkPanel.svelte';
  import { useReworkDesk } from './rework-desk.svelte';
  import VoidIt from './VoidIt.svelte';
  import VerdictLegend from '../../ui/kit/VerdictLegend.svelte';

  const workspace = useWorkspace();
  const open = useReleaseDesk();
  const person = $derived(open.person);

  const changed = $derived(
    open.release !== null && open.release.revision !== workspace.save.revision
  );
  const preferences = usePreferences();
  const holeHere = $derived(
    open.release?.holes.find(({ number }) => number === workspace.picked)?.number ??
      open.release?.holes[0]?.number ??
      1
  );
  const D = $derived(rivetSize(open.desk?.dashOf(holeHere) ?? 4).diameterIn);
  /** the head as it is typed, in D */
  const typed = $derived.by(() => {
    const judged = open.desk?.reportFor(holeHere)?.report.judged;
    return judged?.ok ? judged.result : null;
  });
  const ready = usePrepareDesk();
  const drive = useDriveDesk();
  const rework = useReworkDesk();
  const seen = $derived(drive.desk?.state.seen.get(holeHere));
  const seenSaid = $derived(
    seen && open.release && open.desk
      ? seenInWords(
          seen,
          seenVerdict(open.desk.dashOf(holeHere), open.release.facts.limits, seen),
          preferences.inWords
        )
      : null
  );
  const pick = (hole: number) => (workspace.picked = hole);
  // What is due comes up by itself, until somebody picks another.
  onMount(() => {
    const next = open.desk?.due.next ?? null;
    if (next !== null) workspace.propose(next);
  });
  let view = $state<'wide' | 'high' | 'table'>('wide');
  let of = $state('');
  const events = $derived(open.desk?.valid ?? []);
  const heads = $derived(headsInD(events));
  const groups = $derived(
    open.release
      ? headGroups({
          release: open.release,
          heads,
          driven: drive.desk?.state.holes ?? new Map(),
          settings: drive.toolsSet.map(({ id, run, begunAt, setup, state }) => ({
            id,
            run,
            begunAt,
            withdrawnAt: state.withdrawn?.at ?? null,
            tool: setup.name
          })),
          lots: new Map(cold.batches.map(({ id, lot }) => [id, lot]))
        })
      : []
  );
  const group = $derived(groups.find(({ value }) => value === of));
  const shownHeads = $derived(group ? heads.filter((head) => group.has(head)) : heads);
</script>

{#if open.release && open.desk}
  {@const { facts, holes } = open.release}
  {@const limits = headLimits(facts.limits)}
  <StationFrame>
    {#snippet drawing()}
      {#if open.release && open.desk}
        <div class="drawing">
          <p class="label" data-testid="release-now" data-release={open.release.number}>
            Release {open.release.number}, seen from the driven side · {releasedParts(facts).join(
              ', '
            )}
          </p>
          <HoleMap
            {holes}
            heldOpen={open.release.heldOpen}
            widthIn={facts.widthIn}
            overlapIn={facts.overlapIn}
            results={open.desk.marks}
            onItsWay={(hole) => open.desk?.isOnItsWay(hole) ?? false}
            picked={workspace.picked}
            onpick={pick}
          />
          {#if open.count}<VerdictLegend marks={open.count.marks} />{/if}
          <div class="views">
            <Choice
              quiet
              label="What the heads show"
              value={view}
              options={[
                { value: 'wide', text: 'Diameters' },
                { value: 'high', text: 'Heights' },
                { value: 'table', text: COMMON.table }
              ]}
              onchoose={(value) => (view = value)}
            />
            {#if groups.length > 0}
              <Pick
                label="Which heads"
                value={group ? of : ''}
                options={[
                  { value: '', text: 'all of them' },
                  ...groups.map(({ value, text }) => ({ value, text }))
                ]}
                onchoose={(value) => (of = value)}
              />
            {/if}
          </div>
          {#if view !== 'table'}<HeardHeads {events} />{/if}
          {#if view === 'table'}
            <Later
              load={() => import('./HeadTable.svelte')}
              wanted
              props={{ desk: open.desk, drive: drive.desk, onpick: pick }}
            />
          {:else}
            <div class="charts">
              <div class="run">
                <RunChart
                  heads={shownHeads}
                  measure={view}
                  next={open.desk.due.next}
                  limits={facts.limits}
                  picked={workspace.picked}
                  onpick={pick}
                  arithmetic={workspace.arithmetic}
                />
              </div>
              <div class="run">
                <GateChart {events} limits={facts.limits} now={typed} />
              </div>
            </div>
          {/if}
        </div>
      {/if}
    {/snippet}
    {#snippet inputs()}
      {#if open.signedBy !== null}
        <Notice
          level="note"
          title="Release {open.release?.number} is signed by {open.signedBy}"
          text="Locked. Further work needs a new release."
        />
      {/if}
      {#if changed}
        <Notice
          level="attention"
          testid="changed-since-release"
          title="The joint has changed since release {open.release?.number}"
          text="Inspections here belong to this release. Re-release to inspect the new layout."
        >
          <div class="again"><ReleaseButton text={CHECK.releaseItAgain} station="inspect" /></div>
        </Notice>
      {/if}
      {#if open.desk}
        {#snippet mend()}
          {#if open.desk}<ReworkPanel desk={open.desk} hole={holeHere} {person} />{/if}
        {/snippet}
        {#if open.desk.marks.get(holeHere) === 'out'}
          <DueBar due={open.desk.due} count={open.count} here={holeHere} onpick={pick} />
          {@render mend()}
          {#if !person}<a class="act" href="/who?back=/joints/{workspace.id}/inspect"
              >{CONNECTION.signInFirst}</a
            >{/if}
        {:else}
          <InspectSheet
            desk={open.desk}
            count={open.count}
            {person}
            hole={holeHere}
            plates={ready.figures.plates}
            onpick={pick}
          >
            {@render mend()}
            {#if person && open.signedBy === null}<FarSide desk={open.desk} onpick={pick} />{/if}
          </InspectSheet>
        {/if}
        <!-- below what is typed: none of it moves a field -->
        {#if seen && seenSaid}
          <div class="seen" data-testid="seen-by-camera">
            Camera on head {holeHere}: <strong>{seenSaid.figure}</strong>, {seenSaid.verdict}. {seen.by}{seen.simulated
              ? CHECK.simulatedCameraPracticeNotFor
              : ''}
            {#if rework.desk && person !== ''}
              {#key seen.id}
                <VoidIt
                  name="void-camera"
                  act={CHECK.voidThisLook}
                  onvoid={(why) =>
                    rework.desk?.add({ kind: 'voided-look', hole: holeHere, look: seen.id, why }) ??
                    false}
                />
              {/key}
            {/if}
          </div>
        {/if}
        {#if open.since}<SinceCard
            since={open.since}
            document={workspace.entered}
            onpick={pick}
          />{/if}
        {#each open.desk?.rowsApart ?? [] as { row, share, meaning } (row)}
          <Notice level="attention" {...rowInWords(row, share, meaning)} />
        {/each}
        {#if rework.desk}<BlindRivets
            rework={rework.desk}
            {person}
            signed={open.signedBy !== null}
          />{/if}
        <OldWork jointId={workspace.id} {person} />
      {/if}
    {/snippet}
    {#snippet foot()}
      <footer class="keys">
        <span><kbd>Enter</kbd> to height, then record and next</span>
        <span><kbd>C</kbd> in the height: no defects on all three, record and next</span>
        {#if open.desk?.way === 'plate'}<span><kbd>Y</kbd> <kbd>N</kbd> answer the plate</span>{/if}
        <span><kbd>[</kbd> <kbd>]</kbd> hole back, on</span>
        <span class="limits">
          limits: {limitsCalled(facts.limits)}{facts.limitsReference === null
            ? ''
            : ` (${facts.limitsReference})`}, {preferences.text(limits.diameterD.low * D)} to {preferences.inWords(
            limits.diameterD.high * D
          )} wide ({limits.diameterD.low.toFixed(2)} to {limits.diameterD.high.toFixed(2)} D), {preferences.text(
            limits.heightD.low * D
          )} to {preferences.inWords(limits.heightD.high * D)} high ({limits.heightD.low.toFixed(2)} to
          {limits.heightD.high.toFixed(2)} D)
        </span>
        {#if facts.keptClosed !== null}<span data-testid="kept-closed"
            >not disassembled; chips and burrs accepted: {facts.keptClosed}</span
          >{/if}
      </footer>
    {/snippet}
  </StationFrame>
{:else}
  <ReleaseFirst
    title="Release the layout before inspection"
    text="A release freezes holes, rivets and rules, so every inspection belongs to a fixed layout."
    what="to check"
    act={CHECK.releaseItAndStartChecking}
    station="inspect"
  >
    {#snippet below()}<OldWork jointId={workspace.id} {person} />{/snippet}
  </ReleaseFirst>
{/if}

<style>
  .drawing {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto auto auto auto minmax(230px, 1fr);
    gap: 6px;
    height: 100%;
  }
  .views {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 14px;
    align-items: end;
  }
  .charts {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 300px);
    gap: 10px;
    min-height: 0;
  }
  .run {
    min-height: 0;
  }
  @container (max-width: 620px) {
    .charts {
      grid-template-columns: minmax(0, 1fr);
    }
    .run {
      height: 240px;
    }
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
  @media (max-width: 900px) {
    .run {
      height: 240px;
    }
  }
</style>
