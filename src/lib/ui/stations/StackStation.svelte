<script lang="ts">
  import { rivetSize } from '$core/catalog/rivets.ts';
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
  const shown = $derived(workspace.shown);
  const rules = $derived(workspace.profile);
  const stacks = $derived(shown?.plan.stacks ?? []);
  const pickedHole = $derived(shown?.plan.holes.find((hole) => hole.number === workspace.picked));
  /** the stack that the picked hole goes through */
  const stack = $derived(stacks[pickedHole?.stack ?? 0] ?? stacks[0]);
  const first = (of: number) =>
    shown?.plan.holes.find((hole) => hole.stack === of)?.number ?? workspace.picked;
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
    {#if shown && stack?.length.ok}
      <div class="view">
        <SectionView {shown} {stack} stale={!workspace.now} />
        {#if stack.head.ok}
          <HeadCurve
            head={stack.head.result}
            diameterIn={rivetSize(stack.dash).diameterIn}
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
    {#if plan && stack}
      {#if stacks.length > 1}
        <div class="stacks" role="group" aria-label="Stacks of this joint">
          {#each stacks as other, index (index)}
            <button
              class="act"
              type="button"
              aria-pressed={other === stack}
              onclick={() => (workspace.picked = first(index))}
            >
              {other.name}<small
                >{other.length.ok ? other.length.result.partNumber : 'no rivet'}, {other.rivets} rivets</small
              >
            </button>
          {/each}
        </div>
      {/if}
      <section aria-label="Answers">
        {#if stack.length.ok}
          {@const { result, work } = stack.length}
          <p class="part" data-figure="Part number">{result.partNumber}</p>
          <Figure label="Grip" work={work.filter((line) => line.label === 'grip')}>
            <Length lengthIn={result.gripIn} decimal />
          </Figure>
          {#if stack.gripMaxIn - stack.gripMinIn > 1e-6}
            <p class="hint">
              Over its holes the grip runs from <Length lengthIn={stack.gripMinIn} decimal /> to <Length
                lengthIn={stack.gripMaxIn}
                decimal
              />; the figures are those of its middle hole.
            </p>
          {/if}
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
          <Notice level="stop" title="No rivet for this stack" text={stack.length.error.message} />
        {/if}
        <Figure
          label="Hole"
          note="drill {stack.hole.drill}"
          work={stack.hole.work}
          source="school: {rules.drill} drills"
        >
          <Length lengthIn={stack.hole.diameterIn} decimal />
        </Figure>
        {#if stack.head.ok}
          {@const { result, work } = stack.head}
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
        {:else if stack.length.ok}
          <Notice
            level="attention"
            title="The shop head cannot be predicted"
            text={stack.head.error.message}
          />
        {/if}
        {#if stack.flush?.ok}
          {@const { result, work } = stack.flush}
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
  .stacks {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  .stacks .act {
    flex-direction: column;
    align-items: flex-start;
    gap: 0;
    line-height: 1.25;
  }
  .stacks [aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
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
