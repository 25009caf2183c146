<script lang="ts">
  import TermText from '../../ui/kit/TermText.svelte';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { PlannedStack } from '$core/plan/plan-shape.ts';
  import type { StackView } from '$core/plan/stack-view.ts';
  import type { DrivingMoment } from '$core/stack/driving.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';

  /** The figures of a section where there is no room for them in it. */
  interface Props {
    stack: PlannedStack;
    view: StackView;
    side: 'inserted' | 'driven';
    notes: readonly string[];
    scale: string;
    moment: DrivingMoment | null;
    standsOut: string;
    atDimple: string;
  }
  let { stack, view, side, notes, scale, moment, standsOut, atDimple }: Props = $props();
  const preferences = usePreferences();
  const D = $derived(rivetSize(stack.dash).diameterIn);
  const band = $derived(stack.head.ok ? stack.head.result.heightBandD : null);
</script>

<dl class="list" data-testid="section-list">
  <div>
    <dt><TermText text="grip" /></dt>
    <dd>{preferences.inWords(view.section.gripIn)}</dd>
  </div>
  {#if side === 'inserted'}
    <div>
      <dt><TermText text="protrusion" /></dt>
      <dd>{standsOut}</dd>
    </div>
    {#if atDimple !== ''}
      <div>
        <dt>at the dimple</dt>
        <dd>{atDimple}</dd>
      </div>
    {/if}
    <div>
      <dt>hole</dt>
      <dd>{notes.join(' · ')}</dd>
    </div>
  {:else if moment}
    <div>
      <dt>as drawn</dt>
      <dd>
        {preferences.inWords(moment.diameterIn)} wide × {preferences.inWords(moment.heightIn)}
        high
      </dd>
    </div>
    {#if band}
      <div>
        <dt>stop at</dt>
        <dd>{preferences.inWords(band.low * D)} to {preferences.inWords(band.high * D)}</dd>
      </div>
    {/if}
    <div>
      <dt>dashed</dt>
      <dd>nominal 1.5 D × ½ D</dd>
    </div>
  {/if}
  <div>
    <dt>drawn</dt>
    <dd>{scale}</dd>
  </div>
</dl>

<style>
  .list {
    display: flex;
    flex-wrap: wrap;
    gap: 2px 16px;
    padding: 4px;
    font-variant-numeric: tabular-nums;
  }
  .list div {
    display: flex;
    gap: 6px;
  }
  .list dt {
    color: var(--ink-soft);
  }
  .list dd {
    font-weight: 700;
  }
  @container (min-width: 480px) {
    .list {
      flex-direction: column;
      align-self: center;
    }
  }
</style>
