<script lang="ts">
  import { num } from '$core/answer.ts';
  import { kindOf } from '$core/kinds/joint.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { onMount } from 'svelte';
  import { tinykeys } from 'tinykeys';
  import type { LaidLine } from '$core/plan/holes.ts';
  import { outsideFields } from '$lib/client/keys';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import { useReleaseDesk } from '../inspect/release-desk';
  import { LAYOUT } from '$lib/words/pages/layout';
  import CloseUp from '$lib/drawing/section/CloseUp.svelte';
  import PlanView from '$lib/drawing/plan/PlanView.svelte';
  import { inLinesFirst, isLong, LINE_IN } from '$lib/drawing/plan/story-strip';
  import StoryStrip from '$lib/drawing/plan/StoryStrip.svelte';
  import Tape from '$lib/drawing/plan/Tape.svelte';
  import Choice from '../../ui/kit/Choice.svelte';
  import KindFields from '../../ui/joint/KindFields.svelte';
  import LengthField from '../../ui/kit/LengthField.svelte';
  import Alternatives from './Alternatives.svelte';
  import { datumOptions } from './datums';
  import { Drags } from './drags';
  import Later from '$lib/ui/kit/Later.svelte';
  import HoleTable from './HoleTable.svelte';
  import HolePanel from './HolePanel.svelte';
  import InTheWay from './InTheWay.svelte';
  import LayoutFigures from './LayoutFigures.svelte';
  import LayoutViews, { type LayoutView, type LineLength } from './LayoutViews.svelte';
  import LayoutWarnings from './LayoutWarnings.svelte';
  import MetalSteps from './MetalSteps.svelte';
  import NotPossible from './NotPossible.svelte';
  import Reader from './Reader.svelte';
  import Reworked from './Reworked.svelte';
  import StationFrame from '../../ui/joint/StationFrame.svelte';
  import Unreadable from '../../ui/joint/Unreadable.svelte';

  const preferences = usePreferences();

  const workspace = useWorkspace();
  const released = useReleaseDesk();
  const reworked = $derived(new Set(released.inMetal.map(({ hole }) => hole)));
  const entered = $derived(workspace.entered);
  const plan = $derived(workspace.now?.plan ?? null);
  const shown = $derived(workspace.shown?.plan.layout.ok ? workspace.shown : null);
  const layout = $derived(shown?.plan.layout.ok ? shown.plan.layout.result : null);
  const holes = $derived(shown?.plan.holes ?? []);
  const picked = $derived(holes.find((hole) => hole.number === workspace.picked) ?? holes[0]);
  const line = $derived(picked ? layout?.lines[picked.row - 1] : undefined);
  const school = $derived(workspace.profile.pitch);
  const near = $derived(
    entered.prefer === 'near' || (entered.prefer === 'profile' && school === 'near')
  );
  const spaced = $derived(!kindOf(entered).spacedByShape);
  const onlyHolds = $derived(workspace.shown?.plan.needs.length === 0);
  const long = $derived(layout !== null && isLong(layout));
  /** null: in lines once it is longer than one, and has no more holes than are drawn at once */
  let asked = $state<LineLength | null>(null);
  const metric = $derived(preferences.lengths === 'mm');
  const inLines = $derived(
    asked ?? (layout !== null && inLinesFirst(layout, holes.length, metric) ? 'long' : 'whole')
  );
  const lineIn = $derived(
    LINE_IN[metric ? 'metric' : 'inch'][inLines === 'short' ? 'short' : 'long']
  );
  /** a long strip leaves room for its corner enlarged */
  const strip = $derived(layout !== null && layout.widthIn > 2.2 * layout.heightIn);
  const datums = $derived(datumOptions(entered, layout, line));
  const datumWords = (of: LaidLine | undefined): string =>
    datumOptions(entered, layout, of).find(({ value }) => value === entered.datum)?.text ??
    'the datum edge';
  let view = $state<LayoutView>('plan');
  let reading = $state(false);
  let pickingUp = $state(false);
  let files = $state(false);
  let panel = $state<HolePanel>();
  const pick = (hole: number) => (workspace.picked = hole);

  const drags = new Drags(workspace);

  onMount(() =>
    tinykeys(window, {
      'Shift+ArrowLeft': outsideFields(() => panel?.nudge(-1)),
      'Shift+ArrowRight': outsideFields(() => panel?.nudge(1)),
      h: outsideFields(() => panel?.hold()),
      p: outsideFields(() => panel?.pin()),
      Delete: outsideFields(() => panel?.takeOut()),
      r: outsideFields(() => (reading = layout !== null))
    })
  );
</script>

<svelte:window onpointerdowncapture={drags.take} />
<StationFrame inputsLast>
  {#snippet drawing()}
    {#if shown && layout}
      <div class="board">
        <LayoutViews
          {view}
          onview={(value) => (view = value)}
          line={long && (view === 'plan' || view === 'headroom') ? inLines : null}
          online={(value) => (asked = value)}
          onfiles={() => (files = true)}
        />
        {#if view === 'others'}
          <Alternatives onchosen={() => (view = 'plan')} />
        {:else if view === 'table'}
          <HoleTable
            {line}
            {holes}
            inMetal={released.inMetal}
            picked={picked?.number ?? 1}
            onpick={pick}
          />
        {:else if view === 'steps'}
          <div class="steps"><MetalSteps {layout} /></div>
        {:else}
          {#if long && inLines !== 'whole'}
            <StoryStrip
              {shown}
              picked={picked?.number ?? 1}
              onpick={pick}
              stale={!workspace.now}
              headroom={view === 'headroom'}
              {reworked}
              {lineIn}
              onkeepout={drags.keepOut}
              onfixed={drags.fixed}
              onlayerend={drags.layerEnd}
            />
          {:else}
            <div class="sheets" class:strip>
              <PlanView
                {shown}
                picked={picked?.number ?? 1}
                onpick={pick}
                stale={!workspace.now}
                headroom={view === 'headroom'}
                {reworked}
                onkeepout={drags.keepOut}
                onfixed={drags.fixed}
                onlayerend={drags.layerEnd}
              />
              {#if strip}<CloseUp {shown} picked={workspace.picked} onpick={pick} />{/if}
            </div>
          {/if}
          {#if view === 'headroom'}
            <p class="legend hint">
              Number = largest rivet that still fits in rework. Green: larger size fits. Amber:
              none.
            </p>
          {/if}
        {/if}
        {#if !workspace.now}<div class="over"><Unreadable /></div>{/if}
      </div>
    {:else}
      <div class="in-the-middle">
        {#if plan && !plan.layout.ok}
          <NotPossible refused={plan.layout} />
        {:else}
          <Unreadable />
        {/if}
      </div>
    {/if}
  {/snippet}

  {#snippet inputs()}
    <section class="column-wide" aria-label="Layout settings">
      <KindFields station="layout" />
      {#if spaced}
        <Choice
          label="Spacing"
          value={entered.prefer}
          options={[
            { value: 'profile', text: `Shop’s: ${school}` },
            { value: 'fewest', text: 'Fewest' },
            { value: 'near', text: 'Target pitch' }
          ]}
          onchoose={(prefer) => workspace.edit({ prefer }, 'prefer')}
        />
        {#if near}
          <LengthField
            label="Target pitch"
            value={entered.nearPitchIn}
            whenEmpty="house pitch {preferences.inWords(workspace.profile.housePitchIn)}"
            placeholder="house"
            problem={workspace.problemAt('nearPitchIn')}
            oninput={(text) => workspace.edit({ nearPitchIn: text }, 'nearPitchIn')}
          />
        {/if}
      {/if}
      {#if onlyHolds}
        <LengthField
          label="Maximum pitch (job)"
          value={entered.holdPitchIn}
          whenEmpty="the shop’s {num(workspace.profile.multipliers.pitchMaxD)} D"
          placeholder="shop’s"
          problem={workspace.problemAt('holdPitchIn')}
          oninput={(text) => workspace.edit({ holdPitchIn: text }, 'holdPitchIn')}
        />
        {#if entered.holdPitchIn.trim() !== ''}
          <LengthField
            label={LAYOUT.whoseLargestPitch}
            plain
            placeholder="drawing, sheet, note"
            value={entered.holdPitchReason}
            problem={workspace.problemAt('holdPitchReason')}
            oninput={(text) => workspace.edit({ holdPitchReason: text }, 'holdPitchReason')}
          />
        {/if}
      {/if}
      <InTheWay onpickup={() => (pickingUp = true)} />
    </section>
  {/snippet}

  {#snippet worksheet()}
    {#if plan}
      <LayoutFigures {plan} />
      {#if shown && picked && line && workspace.now}
        <HolePanel bind:this={panel} {shown} hole={picked} {line} />
      {/if}
      <LayoutWarnings warnings={workspace.warningsAt('layout')} />
      {#if released.inMetal.length > 0}<Reworked inMetal={released.inMetal} onpick={pick} />{/if}
    {/if}
    {#if layout && layout.removed.length > 0}
      <div class="gone">
        <span class="hint">Deleted:</span>
        {#each layout.removed as gone (gone.number)}
          <button
            class="act small"
            type="button"
            onclick={() =>
              workspace.edit(
                {
                  edits: entered.edits.filter(
                    (edit) =>
                      !(edit.line === gone.line && edit.index === gone.index && edit.of === gone.of)
                  )
                },
                'put back'
              )}
            data-testid="put-back">Restore {gone.number}</button
          >
        {/each}
      </div>
    {/if}
  {/snippet}

  {#snippet foot()}
    {#if layout}
      <Tape
        lines={layout.lines}
        {holes}
        changes={workspace.shown?.plan.lengthChanges ?? []}
        scale={entered.scale}
        datum={entered.datum}
        {datums}
        picked={picked?.number ?? 1}
        onpick={pick}
        onscale={(scale) => workspace.edit({ scale }, 'scale')}
        ondatum={(datum) => workspace.edit({ datum }, 'datum')}
        onread={() => (reading = true)}
      />
    {/if}
  {/snippet}
</StationFrame>

{#if reading && layout}
  <Reader
    lines={layout.lines}
    {holes}
    scale={entered.scale}
    {datumWords}
    picked={picked?.number ?? 1}
    onpick={pick}
    onclose={() => (reading = false)}
  />
{/if}
<Later
  load={() => import('./PickUpSheet.svelte')}
  wanted={pickingUp}
  props={{ open: pickingUp, onclose: () => (pickingUp = false) }}
/>
<Later
  load={() => import('./FilesSheet.svelte')}
  wanted={files}
  props={{ open: files, onclose: () => (files = false) }}
/>

<style>
  .board {
    position: relative;
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto minmax(0, 1fr) auto;
    gap: 6px;
    height: 100%;
  }
  .sheets {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 1fr);
    gap: 8px;
    min-height: 0;
  }
  .sheets.strip {
    grid-template-rows: minmax(0, 1.35fr) minmax(0, 1fr);
  }
  .steps {
    min-height: 0;
    overflow: hidden;
  }
  .legend {
    padding: 2px 4px;
  }
  .over {
    position: absolute;
    inset: 0;
    display: flex;
    align-items: center;
  }
  .gone {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 6px;
  }
  @media (max-width: 900px) {
    .sheets {
      height: 560px;
    }
  }
</style>
