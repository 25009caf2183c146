<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { STACK } from '$lib/words/pages/stack';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { limitsCalled } from '$core/catalog/head-limits.ts';
  import { looksSame } from '$core/units/tolerance.ts';
  import type { PlannedStack } from '$core/plan/plan-shape.ts';
  import type { StackView } from '$core/plan/stack-view.ts';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Figure from '../../ui/joint/Figure.svelte';
  import Length from '../../ui/kit/Length.svelte';
  import Notice from '../../ui/kit/Notice.svelte';

  /** The answers of one stack with their arithmetic. */
  interface Props {
    /** none while the sheets cannot be read: the rows are there all the same */
    stack?: PlannedStack;
    view?: StackView;
  }
  let { stack, view }: Props = $props();
  const preferences = usePreferences();
  const workspace = useWorkspace();
  const rules = $derived(workspace.profile);
  const METHODS = {
    countersink: 'Countersink the top sheet',
    'dimple-together': 'Dimple the sheets together',
    'dimple-each': 'Dimple each sheet separately',
    'dimple-top-countersink-under': 'Dimple the top sheet, countersink the sheet below',
    none: 'No standard method'
  };
  const RECKONED = { 'flat-stack': 'Protrusion, flat stack', 'at-dimple': 'Protrusion, at dimple' };
  /** the shop's own school first */
  const reckonings = $derived(
    [...(view?.reckonings ?? [])].sort((a) => (a.school === rules.dimpled ? -1 : 1))
  );
  const window = $derived({
    low: rules.multipliers.protrusionMinD,
    high: rules.multipliers.protrusionMaxD,
    unit: 'D'
  });
</script>

<section aria-label={COMMON.answers}>
  {#if !stack}
    <p class="part">–</p>
    {#each STACK.answers as label (label)}<Figure {label}>–</Figure>{/each}
  {:else}{@render answers(stack)}{/if}
</section>

{#snippet answers(stack: PlannedStack)}
  {#if stack.length.ok}
    {@const { result, work } = stack.length}
    <p class="part" data-figure="Part number">{result.partNumber}</p>
    <Figure label={COMMON.grip} work={work.filter(({ key }) => key === 'grip')}>
      <Length lengthIn={result.gripIn} decimal />
    </Figure>
    {#if !looksSame(stack.gripMaxIn, stack.gripMinIn)}
      <p class="hint">
        Grip varies from <Length lengthIn={stack.gripMinIn} decimal /> to <Length
          lengthIn={stack.gripMaxIn}
          decimal
        />. Values are for the middle hole.
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
    {#if reckonings.length > 0}
      {#each reckonings as reckoning (reckoning.school)}
        <Figure
          label={RECKONED[reckoning.school]}
          note={reckoning.school === rules.dimpled ? 'shop practice' : 'other practice'}
          work={reckoning.work}
          source="must be over {window.low} D and under {window.high} D"
          limits={reckoning.school === rules.dimpled
            ? { ...window, value: reckoning.protrusionD }
            : undefined}
        >
          <Length lengthIn={reckoning.protrusionIn} />
        </Figure>
      {/each}
    {:else}
      <Figure
        label="Protrusion"
        work={work.filter(({ key }) => key === 'protrusion')}
        source="must be over {window.low} D and under {window.high} D"
        limits={{ ...window, value: result.protrusionD }}
      >
        <Length lengthIn={result.protrusionIn} />
      </Figure>
    {/if}
  {:else}
    <Notice
      level="stop"
      title="No rivet for this stack"
      text={preferences.refusal(stack.length.error.said)}
    />
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
      source="{limitsCalled(
        workspace.shown?.plan.headLimits ?? rules.headLimits
      )} limits; volume is constant{stack.dimpledThrough ? '; of the metal beyond the dimple' : ''}"
    >
      <Length lengthIn={result.diameterAtHalfDIn} decimal />
    </Figure>
    <Figure label="Head height, min to max" work={work.slice(-1)}>
      {#if result.heightBandD}
        {result.heightBandD.low.toFixed(2)} to {result.heightBandD.high.toFixed(2)}<small class="of"
          >&nbsp;D</small
        >
      {:else}none{/if}
    </Figure>
  {:else if stack.length.ok}
    <Notice
      level="attention"
      title="The shop head cannot be predicted"
      text={preferences.refusal(stack.head.error.said)}
    />
  {/if}
  {#if stack.flush?.ok}
    {@const { result, work } = stack.flush}
    <Figure label="Flush method" {work} note={result.margin ?? ''}>
      <span class="method">{METHODS[result.method]}</span>
    </Figure>
  {/if}
{/snippet}

<style>
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
    font-size: var(--small);
    font-weight: 400;
    color: var(--ink-soft);
  }
</style>
