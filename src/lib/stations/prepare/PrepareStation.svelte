<script lang="ts">
  import Later from '$lib/ui/kit/Later.svelte';
  import { READY } from '$lib/words/pages/prepare';
  import { COMMON } from '$lib/words/pages/common';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { orientationMarks } from '$core/prepare/orientation.ts';
  import { readyPlan } from '$core/prepare/ready-plan.ts';
  import { readyProgress } from '$core/prepare/progress.ts';
  import type { ReadyStep } from '$core/prepare/step-list.ts';
  import { usePrepareDesk } from '$lib/stations/prepare/prepare-desk.svelte';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import StoryStrip from '$lib/drawing/plan/StoryStrip.svelte';
  import { inLinesFirst, LINE_IN } from '$lib/drawing/plan/story-strip';
  import PlanView from '$lib/drawing/plan/PlanView.svelte';
  import Choice from '../../ui/kit/Choice.svelte';
  import PaperChoice from '../../ui/kit/PaperChoice.svelte';
  import OutboxNotice from '../../ui/OutboxNotice.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import FloorMode from './FloorMode.svelte';
  import StepActs from './StepActs.svelte';
  import StepCage from './StepCage.svelte';
  import StepCard from './StepCard.svelte';
  import PartMarks from './PartMarks.svelte';
  import StepTicks from './StepTicks.svelte';
  import StationFrame from '../../ui/joint/StationFrame.svelte';
  import Unreadable from '../../ui/joint/Unreadable.svelte';
  import Warnings from '../../ui/joint/Warnings.svelte';
  import { minutes } from './minutes.ts';

  const preferences = usePreferences();

  const workspace = useWorkspace();
  const desk = usePrepareDesk();
  const shown = $derived(workspace.shown);
  const ready = $derived(
    shown
      ? readyPlan(shown.definition, shown.plan, workspace.profile, desk.figures, desk.recorded)
      : null
  );
  const steps = $derived(ready?.steps ?? []);
  const stops = $derived(ready?.stops ?? []);
  /** what the bar above the station says already */
  const above = $derived.by(() => {
    const [first] = workspace.blocks;
    return first?.by === 'stop' ? first.warning : null;
  });
  const progress = $derived(readyProgress(steps, desk.state));
  let chosen = $state<string | null>(null);
  const key = $derived(
    steps.some((step) => step.key === chosen) ? chosen : (progress.next ?? steps.at(-1)?.key)
  );
  const at = $derived(
    Math.max(
      0,
      steps.findIndex((step) => step.key === key)
    )
  );
  const step = $derived(steps[at]);
  const own = $derived(progress.steps[at]);
  const holders = $derived(ready?.holders?.ok ? ready.holders.result : null);
  let round = $state('0');
  const rounds = $derived(holders?.rounds ?? []);
  const shownRound = $derived(rounds[Number(round)] ?? rounds[0]);
  const held = $derived(new Set(shownRound?.holders ?? []));
  const marks = $derived(
    orientationMarks(workspace.title, shown?.plan.layout.ok ? shown.plan.layout.result.pieces : [])
  );
  /** the step's holes line by line; a corner hole is ticked with the line it is numbered on */
  const rowsOfStep = $derived.by(() => {
    const plan = shown?.plan;
    if (!step || !plan?.layout.ok) return [];
    const own = new Set(step.holes);
    return plan.layout.result.lines
      .map(({ name }, index) => ({
        name,
        holes: plan.holes
          .filter(({ number, row }) => row === index + 1 && own.has(number))
          .map(({ number }) => number)
      }))
      .filter(({ holes }) => holes.length > 0);
  });
  const metric = $derived(preferences.lengths === 'mm');
  const inLines = $derived(
    shown !== null &&
      shown.plan.layout.ok &&
      inLinesFirst(shown.plan.layout.result, shown.plan.holes.length, metric)
  );
  let floor = $state(false);
  let shopOpen = $state(false);
  let boardOpen = $state(false);

  function tick(of: ReadyStep, done: boolean): void {
    desk.tick(of, null, done);
    if (done && chosen === of.key) chosen = null;
  }
  function pick(hole: number): void {
    workspace.picked = hole;
    if (!step || !own || own.done || !step.holes.includes(hole)) return;
    desk.tick(step, hole, !own.holes.has(hole));
  }
  const go = (by: number) => (chosen = steps[at + by]?.key ?? chosen);
</script>

{#snippet holePlan()}
  {#if shown && step && own}
    {@const ready = { holders: held, ticked: own.done ? new Set(step.holes) : own.holes }}
    {#if inLines}
      <StoryStrip
        {shown}
        picked={workspace.picked}
        onpick={pick}
        stale={!workspace.now}
        lineIn={LINE_IN[metric ? 'metric' : 'inch'].long}
        {ready}
      />
    {:else}
      <PlanView {shown} picked={workspace.picked} onpick={pick} stale={!workspace.now} {ready} />
    {/if}
  {/if}
{/snippet}

{#snippet card(big: boolean)}
  {#if step && own}
    <StepCard
      {step}
      number={at + 1}
      progress={own}
      begunAt={desk.begun.get(step.key) ?? null}
      arithmetic={workspace.arithmetic}
      {big}
      onbegin={() => desk.begin(step)}
      ontick={(done) => tick(step, done)}
      >{#if step.said.op === 'countersink' && !workspace.practice}<StepCage
          jointId={workspace.id}
          {step}
          settings={desk.cages}
          holes={own.done ? step.count : own.holes.size}
        />{/if}</StepCard
    >
  {/if}
{/snippet}

<StationFrame>
  {#snippet drawing()}
    {#if shown && step && own}
      <div class="view">
        <div class="bar">
          {#if rounds.length > 0}
            {#if rounds.length > 1}<Choice
                label="Temporary fasteners"
                quiet
                value={round}
                options={rounds.map((_, index) => ({
                  value: String(index),
                  text:
                    index === 0 ? 'At pilot size' : index === 1 ? READY.afterUpSizing : 'Last holes'
                }))}
                onchoose={(value) => (round = value)}
              />{/if}
            <p class="hint">
              □ {shownRound?.holders.length} temporary fasteners, {round === '0'
                ? '#40'
                : 'final size'}{shownRound?.drill.length === 0
                ? ': leave in until disassembly'
                : `: drill ${shownRound?.drill.length} holes now`}
            </p>
          {/if}
          <button class="act" type="button" onclick={() => (floor = true)}>{READY.benchView}</button
          >
        </div>
        {@render holePlan()}
        <div class="card">{@render card(false)}</div>
        {#if !workspace.now}<div class="over"><Unreadable /></div>{/if}
      </div>
    {:else if shown && stops.length > 0}
      <PlanView
        {shown}
        picked={workspace.picked}
        onpick={(hole) => (workspace.picked = hole)}
        stale={!workspace.now}
      />
    {:else}
      <div class="over"><Unreadable /></div>
    {/if}
  {/snippet}

  {#snippet worksheet()}
    {#if stops.length > 0}
      <section aria-label="What stops the joint" data-testid="stops">
        <!-- the first stands above the station -->
        <Warnings warnings={stops.filter((warning) => warning !== above)} />
      </section>
    {/if}
    <section aria-label="What is left" hidden={stops.length > 0}>
      <p class="left" data-testid="left">
        <strong>{progress.doneSteps}</strong> of {steps.length} steps ·
        <strong>{minutes(progress.leftMinutes)}</strong> of {minutes(progress.allMinutes)} left
      </p>
      <div
        class="progress"
        role="progressbar"
        aria-label="Preparation progress"
        aria-valuemin="0"
        aria-valuemax="100"
        aria-valuenow={Math.round(
          progress.allMinutes === 0 ? 0 : 100 * (1 - progress.leftMinutes / progress.allMinutes)
        )}
      >
        <span
          style:width="{progress.allMinutes === 0
            ? 0
            : 100 * (1 - progress.leftMinutes / progress.allMinutes)}%"
        ></span>
      </div>
    </section>
    <OutboxNotice outbox={desk.outbox} what="the ticks" />
    {#if ready?.holders && !ready.holders.ok}
      <Notice
        level="attention"
        title="Too few temporary fasteners"
        text={preferences.refusal(ready.holders.error.said)}
      />
    {:else if holders?.stretched}
      <Notice
        level="attention"
        title={READY.holdersStandWiderApart}
        text="Every {holders.every}th hole (shop standard: every {desk.figures.holders
          .every}th). Not enough fasteners."
      />
    {/if}
    <StepTicks
      {steps}
      {progress}
      current={key ?? null}
      stopped={stops.length > 0}
      ontick={tick}
      onchoose={(one) => (chosen = one)}
    />
    <PartMarks {marks} />
    <div class="wraps">
      {#if steps.length > 0}<a
          class="act"
          href="/api/joints/{workspace.id}/files/checklist.pdf?paper={preferences.paper}"
          download>Checklist (PDF)</a
        >{/if}
      <a
        class="act"
        href="/api/joints/{workspace.id}/files/labels.pdf?paper={preferences.paper}"
        download>Labels (PDF)</a
      >
      <PaperChoice />
      <a class="act" href="/gauge">{COMMON.gaugePlate}</a>
      <button class="act" type="button" onclick={() => (boardOpen = true)}
        >{READY.shadowBoard}</button
      >
      <button class="act" type="button" onclick={() => (shopOpen = true)}
        >{READY.timesAndHolders}</button
      >
    </div>
  {/snippet}
</StationFrame>
{#if floor}
  <FloorMode
    title={workspace.title}
    at={at + 1}
    of={steps.length}
    onback={() => go(-1)}
    onnext={() => go(1)}
    onclose={() => (floor = false)}
  >
    {#snippet plan()}{@render holePlan()}{/snippet}
    {#snippet acts()}
      {#if step && own}
        <StepActs
          {step}
          progress={own}
          begunAt={desk.begun.get(step.key) ?? null}
          onbegin={() => desk.begin(step)}
          ontick={(done) => tick(step, done)}
          rows={rowsOfStep}
          onrow={(holes) => holes.forEach((hole) => desk.tick(step, hole, true))}
          big
        />
      {/if}
    {/snippet}
    {@render card(true)}
  </FloorMode>
{/if}
<Later
  load={() => import('./ShadowBoard.svelte')}
  wanted={boardOpen}
  props={{ jointId: workspace.id, steps, open: boardOpen, onclose: () => (boardOpen = false) }}
/>
<Later
  load={() => import('./ShopSheet.svelte')}
  wanted={shopOpen}
  props={{ open: shopOpen, onclose: () => (shopOpen = false) }}
/>

<style>
  .view {
    position: relative;
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto minmax(300px, 1fr) auto;
    gap: 8px;
    height: 100%;
  }
  .bar {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 10px;
  }
  .card {
    padding: 10px 14px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--panel);
  }
  .over {
    display: flex;
    align-items: center;
    justify-content: center;
    height: 100%;
  }
  .view .over {
    position: absolute;
    inset: 0;
  }
  .left strong {
    font-size: 1.3rem;
    font-variant-numeric: tabular-nums;
  }
  .progress {
    height: 12px;
    margin-top: 4px;
    background: var(--bench);
    border-radius: 6px;
    overflow: hidden;
  }
  .progress span {
    display: block;
    height: 100%;
    background: var(--olive);
  }
</style>
