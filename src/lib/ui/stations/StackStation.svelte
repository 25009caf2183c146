<script lang="ts">
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import HeadCurve from '$lib/drawing/HeadCurve.svelte';
  import SectionView from '$lib/drawing/SectionView.svelte';
  import Figure from '../Figure.svelte';
  import Length from '../Length.svelte';
  import Notice from '../Notice.svelte';
  import SheetsEditor from '../SheetsEditor.svelte';
  import StationFrame from '../StationFrame.svelte';
  import Unreadable from '../Unreadable.svelte';

  const workspace = useWorkspace();
  const plan = $derived(workspace.now?.plan ?? null);
  const shown = $derived(workspace.shown?.plan.length.ok ? workspace.shown : null);
  const rules = $derived(workspace.profile);
  const METHODS = {
    countersink: 'Countersink the top sheet',
    'dimple-together': 'Dimple the sheets together',
    'dimple-each': 'Dimple each sheet separately',
    'dimple-top-countersink-under': 'Dimple the top, countersink beneath',
    none: 'No standard method'
  };
</script>

<StationFrame>
  {#snippet drawing()}
    {#if shown}
      <div class="view">
        <SectionView {shown} stale={!workspace.now} />
        {#if shown.plan.head.ok}
          <HeadCurve
            head={shown.plan.head.result}
            diameterIn={shown.plan.diameterIn}
            limits={rules.headLimits}
          />
        {/if}
        {#if !workspace.now}<div class="over"><Unreadable /></div>{/if}
      </div>
    {:else}
      <div class="over"><Unreadable /></div>
    {/if}
  {/snippet}

  {#snippet worksheet()}
    {#if plan}
      <section aria-label="Answers">
        {#if plan.length.ok}
          {@const { result, work } = plan.length}
          <p class="part" data-figure="Part number">{result.partNumber}</p>
          <Figure label="Grip" work={work.filter((line) => line.label === 'grip')}>
            <Length lengthIn={result.gripIn} decimal />
          </Figure>
          <Figure
            label="Rivet length"
            note={workspace.entered.head === 'countersunk' ? 'overall' : 'under the head'}
            {work}
            source="school: {rules.lean}, {rules.increments === 'half'
              ? 'half sizes stocked'
              : 'sixteenths only'}"
          >
            <Length lengthIn={result.lengthIn} />
          </Figure>
          <Figure
            label="Protrusion"
            work={work.filter((line) => line.label.startsWith('protrusion'))}
            source="must be over {rules.multipliers.protrusionMinD} D and under {rules.multipliers
              .protrusionMaxD} D"
            limits={{
              low: rules.multipliers.protrusionMinD,
              high: rules.multipliers.protrusionMaxD,
              value: result.protrusionD,
              unit: 'D'
            }}
          >
            <Length lengthIn={result.protrusionIn} />
          </Figure>
          {#if result.atDimpleIn !== null}
            <p class="hint">
              Reckoned at the dimple: <Length lengthIn={result.atDimpleIn} />, one head height less.
            </p>
          {/if}
        {:else}
          <Notice level="stop" title="No rivet for this stack" text={plan.length.error.message} />
        {/if}
        <Figure
          label="Hole"
          note="drill {plan.hole.drill}"
          work={plan.hole.work}
          source="school: {rules.drill} drills"
        >
          <Length lengthIn={plan.hole.diameterIn} decimal />
        </Figure>
        {#if plan.head.ok}
          {@const { result, work } = plan.head}
          <Figure
            label="Shop head"
            note="predicted at ½ D high"
            {work}
            source="{rules.headLimits} limits; volume is constant"
          >
            <Length lengthIn={result.diameterAtHalfDIn} decimal />
          </Figure>
          <Figure label="Stop at a height of" work={work.slice(-1)}>
            {#if result.heightBandD}
              {result.heightBandD.low.toFixed(2)} to {result.heightBandD.high.toFixed(2)}<small
                class="of">&nbsp;D</small
              >
            {:else}none{/if}
          </Figure>
        {:else if plan.length.ok}
          <Notice
            level="attention"
            title="The shop head cannot be predicted"
            text={plan.head.error.message}
          />
        {/if}
        {#if plan.flush?.ok}
          {@const { result, work } = plan.flush}
          <Figure label="Flush method" {work} note={result.margin ?? ''}>
            <span class="method">{METHODS[result.method]}</span>
          </Figure>
        {/if}
      </section>
      {#each workspace.warningsAt('stack') as warning (warning.title)}
        <Notice {...warning} />
      {/each}
    {/if}
    <SheetsEditor />
    <p class="hint">
      Peel protective film before measuring and before riveting. Deburr and pull the sheets
      together: metal lost in a gap is missing from the head.
    </p>
  {/snippet}
</StationFrame>

<style>
  .view {
    position: relative;
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 1.7fr) minmax(0, 1fr);
    gap: 8px;
    height: 100%;
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
  .part {
    padding: 2px 0 6px;
    font-size: 2rem;
    font-weight: 700;
    line-height: 1.15;
    white-space: nowrap;
    border-bottom: 1px solid var(--line);
  }
  .method {
    font-size: 1rem;
    white-space: normal;
  }
  .of {
    font-size: 0.85rem;
    font-weight: 400;
    color: var(--ink-soft);
  }
</style>
