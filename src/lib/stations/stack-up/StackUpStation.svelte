<script lang="ts">
  import Later from '$lib/ui/kit/Later.svelte';
  import { STACK } from '$lib/words/pages/stack';
  import { headLimits } from '$core/catalog/head-limits.ts';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import { stoppedUpTo } from '$core/plan/blocks.ts';
  import { drivingMoment } from '$core/stack/driving.ts';
  import { stackView } from '$core/plan/stack-view.ts';
  import { useStock } from '$lib/client/stock';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import HeadCurve from '$lib/drawing/chart/HeadCurve.svelte';
  import LayerPicture from '$lib/drawing/section/LayerPicture.svelte';
  import SectionView from '$lib/drawing/section/SectionView.svelte';
  import DrivingSlider from './DrivingSlider.svelte';
  import FlushRule from './FlushRule.svelte';
  import LengthTable from './LengthTable.svelte';
  import Apart from './Apart.svelte';
  import OwnHeads from './OwnHeads.svelte';
  import MeasuredRivet from './MeasuredRivet.svelte';
  import StackFigures from './StackFigures.svelte';
  import TrueSize from './TrueSize.svelte';
  import Substitutes from './Substitutes.svelte';
  import Tabs from '../../ui/kit/Tabs.svelte';
  import Toggles from '../../ui/kit/Toggles.svelte';
  import SheetsEditor from '../../ui/joint/SheetsEditor.svelte';
  import StationFrame from '../../ui/joint/StationFrame.svelte';
  import Unreadable from '../../ui/joint/Unreadable.svelte';
  import Warnings from '../../ui/joint/Warnings.svelte';

  const workspace = useWorkspace();
  const stock = useStock();
  const plan = $derived(workspace.now?.plan ?? null);
  const shown = $derived(workspace.shown);
  const rules = $derived(workspace.profile);
  const stacks = $derived(shown?.plan.stacks ?? []);
  const pickedHole = $derived(shown?.plan.holes.find((hole) => hole.number === workspace.picked));
  /** the stack that the picked hole goes through */
  const stack = $derived(stacks[pickedHole?.stack ?? 0] ?? stacks[0]);
  const view = $derived(shown && stack ? stackView(stack, shown.definition, rules) : null);
  const D = $derived(stack ? rivetSize(stack.dash).diameterIn : 1);
  const first = (of: number) =>
    shown?.plan.holes.find((hole) => hole.stack === of)?.number ?? workspace.picked;

  /** how far the drawn rivet is driven; null rests at a good head, or at half a diameter */
  let chosenIn = $state<number | null>(null);
  const heightIn = $derived(
    view?.travel
      ? Math.min(view.travel.fromIn, Math.max(view.travel.toIn, chosenIn ?? view.travel.restIn))
      : 0
  );
  let panel = $state('lengths');
  const PANELS = $derived([
    { value: 'lengths', text: 'Lengths' },
    { value: 'driving', text: 'Driving' },
    { value: 'layers', text: STACK.layers },
    ...(view?.flush ? [{ value: 'flush', text: STACK.flushRule }] : []),
    { value: 'others', text: STACK.substitutes }
  ]);
  const open = $derived(PANELS.some(({ value }) => value === panel) ? panel : 'lengths');
  let billOpen = $state(false);
  let glassOpen = $state(false);
</script>

<StationFrame>
  {#snippet drawing()}
    {#if shown && stack?.length.ok && view}
      <div class="view">
        <SectionView {stack} {view} {heightIn} stale={!workspace.now} />
        {#if view.travel}
          <DrivingSlider
            {stack}
            travel={view.travel}
            {heightIn}
            onheight={(value) => (chosenIn = value)}
          />
        {/if}
        <Tabs
          label="Beneath the drawing"
          value={open}
          options={PANELS}
          onchoose={(value) => (panel = value)}
        >
          {#if open === 'driving'}
            {#if stack.head.ok}
              <HeadCurve
                head={stack.head.result}
                diameterIn={D}
                limits={shown.plan.headLimits}
                now={view.rivet && drivingMoment(view.rivet, heightIn)}
              />
            {/if}
          {:else if open === 'layers'}
            <LayerPicture
              plan={shown.plan}
              picked={workspace.picked}
              onpick={(hole) => (workspace.picked = hole)}
            />
          {:else if open === 'flush' && view.flush}
            <FlushRule flush={view.flush} school={rules.dimpleAngles} />
          {:else if open === 'others'}
            <Substitutes {shown} {stack} />
          {:else}
            <LengthTable
              {view}
              dash={stack.dash}
              school="{rules.lean}, {rules.increments === 'half' ? 'halves' : 'sixteenths'}"
              onHand={stock.onHand}
              arithmetic={workspace.arithmetic}
              stopped={stoppedUpTo(workspace.blocks, 'stack-up')}
            />
          {/if}
        </Tabs>
        {#if !workspace.now}<div class="over"><Unreadable /></div>{/if}
      </div>
    {:else}
      <div class="over"><Unreadable /></div>
    {/if}
  {/snippet}

  {#snippet inputs()}
    <SheetsEditor detail />
    {#if stack}<MeasuredRivet {stack} />{/if}
    {#if plan && stack && view}
      {#if stacks.length > 1}
        <Toggles
          label={STACK.stacksOfThisJoint}
          single
          value={[String(stacks.indexOf(stack))]}
          options={stacks.map((other, index) => ({
            value: String(index),
            text: other.name,
            more: `${other.length.ok ? other.length.result.partNumber : 'no rivet'}, ${other.rivets} rivets`
          }))}
          onchange={([chosen]) => {
            if (chosen !== undefined) workspace.picked = first(Number(chosen));
          }}
        />
      {/if}
      <StackFigures {stack} {view} />
      <Warnings warnings={workspace.warningsAt('stack-up')} />
    {:else}
      <StackFigures />
    {/if}
  {/snippet}

  {#snippet worksheet()}
    <Apart />
    <OwnHeads />
    <div class="wraps">
      <button class="act" type="button" onclick={() => (billOpen = true)}
        >{STACK.billOfRivets}</button
      >
      <button class="act" type="button" onclick={() => (glassOpen = true)}>{STACK.trueSize}</button>
      <a class="act" href="/rivets">Identify a rivet</a>
    </div>
    <p class="hint">
      Peel protective film before measuring and before riveting. Deburr and clamp the sheets: a gap
      takes metal from the shop head.
    </p>
  {/snippet}
</StationFrame>
{#if shown && stack?.length.ok && view}
  <TrueSize
    {shown}
    {stack}
    {view}
    limits={headLimits(shown.plan.headLimits)}
    open={glassOpen}
    onclose={() => (glassOpen = false)}
  />
{/if}
{#if plan}
  <Later
    load={() => import('./BillSheet.svelte')}
    wanted={billOpen}
    props={{ open: billOpen, plan, onclose: () => (billOpen = false) }}
  />
{/if}

<style>
  .view {
    position: relative;
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 1.3fr) auto auto minmax(0, 1fr);
    gap: 6px;
    height: 100%;
  }
  @media (max-width: 900px) {
    .view {
      height: auto;
      grid-template-rows: 480px auto auto auto;
    }
    .view :global(.tab-view) {
      min-height: 260px;
    }
  }
  .view :global(.tab-view) {
    position: relative;
    min-height: 0;
    margin-top: -6px;
    border: 1.5px solid var(--line);
    border-radius: 0 0 10px 10px;
    overflow: auto;
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
</style>
