<script lang="ts">
  import { STACK } from '$lib/words/pages/stack';
  import { COMMON } from '$lib/words/pages/common';
  import { onMount } from 'svelte';
  import { nominalHead } from '$core/catalog/head-limits.ts';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { PlannedStack } from '$core/plan/plan-shape.ts';
  import type { StackView } from '$core/plan/stack-view.ts';
  import { MM_PER_IN } from '$core/units/factors.ts';
  import { Glass } from '$lib/client/glass.svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ShownPlan } from '$lib/client/workspace.svelte';
  import PlanMetal from '$lib/drawing/plan/PlanMetal.svelte';
  import { closedPath } from '$lib/drawing/section/section-paths';
  import Choice from '$lib/ui/kit/Choice.svelte';
  import Sheet from '$lib/ui/kit/Sheet.svelte';
  import Slider from '$lib/ui/kit/Slider.svelte';

  /** The screen as a glass over the bench: once measured against a scale or a card, things lie on it in their true size. */
  interface Props {
    shown: ShownPlan;
    stack: PlannedStack;
    view: StackView;
    limits: { diameterD: { low: number; high: number } };
    open: boolean;
    onclose: () => void;
  }
  let { shown, stack, view, limits, open, onclose }: Props = $props();
  const preferences = usePreferences();
  const glass = new Glass();
  onMount(() => glass.restore());

  /** a card's long and short side, mm: cards of this kind are all alike */
  const CARD_MM = { long: 85.6, short: 53.98 };
  const RULE_IN = 4;
  const STEPS = 1000;
  const RANGE = { low: 60, high: 300 };
  let against = $state<'card' | 'rule'>('card');
  let what = $state<'rivet' | 'head' | 'corner'>('rivet');
  let setting = $state(false);
  const measuring = $derived(setting || !glass.measured);

  const k = $derived(glass.pxPerIn);
  const D = $derived(rivetSize(stack.dash).diameterIn);
  const nominal = $derived(nominalHead(D));
  const section = $derived(view.section);
  const widest = $derived(section.headIn.reduce((most, [x]) => Math.max(most, Math.abs(x)), 0));
  const layout = $derived(shown.plan.layout.ok ? shown.plan.layout.result : null);
  /** as much of the datum corner as a hand covers */
  const CORNER_IN = { wide: 3, high: 2 };
  const corner = $derived({
    x: (inches: number) => 10 + inches * k,
    y: (inches: number) => 10 + inches * k,
    pxPerIn: k
  });
  const near = $derived(
    shown.plan.holes.filter(({ xIn, yIn }) => xIn < CORNER_IN.wide && yIn < CORNER_IN.high)
  );
</script>

<Sheet title={STACK.trueSize} {open} {onclose}>
  {#if measuring}
    <p>
      Hold a {against === 'card' ? 'bank or identity card' : 'steel scale'} against the screen and move
      the slider until the lengths match.
    </p>
    <Choice
      label="Measure against"
      quiet
      value={against}
      options={[
        { value: 'card', text: 'A card' },
        { value: 'rule', text: 'A scale, 4 in' }
      ]}
      onchoose={(value) => (against = value)}
    />
    <svg
      width="100%"
      height={(CARD_MM.short / MM_PER_IN) * k + 20}
      role="img"
      aria-label={against === 'card' ? 'A card, 85.6 mm long' : 'A scale of 4 inches'}
      data-testid="glass-measure"
    >
      {#if against === 'card'}
        <rect
          class="card"
          x="2"
          y="8"
          width={(CARD_MM.long / MM_PER_IN) * k}
          height={(CARD_MM.short / MM_PER_IN) * k}
          rx={0.125 * k}
        />
      {:else}
        <rect class="card" x="2" y="8" width={RULE_IN * k} height="46" />
        {#each Array.from({ length: RULE_IN * 8 + 1 }, (_, tick) => tick) as tick (tick)}
          <path class="tick" d="M{2 + (tick / 8) * k} 8v{tick % 8 === 0 ? 26 : 12}" />
        {/each}
      {/if}
    </svg>
    <Slider
      label={STACK.sizeOnTheScreen}
      max={STEPS}
      value={Math.round(((k - RANGE.low) / (RANGE.high - RANGE.low)) * STEPS)}
      said="{k.toFixed(1)} dots per inch"
      onchange={(step) => glass.set(RANGE.low + (step / STEPS) * (RANGE.high - RANGE.low), false)}
    />
    <button
      class="act main"
      type="button"
      onclick={() => {
        glass.set(k, true);
        setting = false;
      }}>{STACK.itIsAsLongAs}</button
    >
    <p class="hint">Valid for this screen and zoom only.</p>
  {:else}
    <Choice
      label="Show"
      quiet
      value={what}
      options={[
        { value: 'rivet', text: 'Rivet' },
        { value: 'head', text: 'Driven head' },
        { value: 'corner', text: COMMON.datumCorner }
      ]}
      onchoose={(value) => (what = value)}
    />
    <div class="glass">
      {#if what === 'rivet'}
        {@const axis = widest * k + 30}
        {@const faceY = section.headProudIn * k + 20}
        <svg
          width={2 * axis + 120}
          height={faceY + section.shankEndIn * k + 24}
          role="img"
          aria-label="The rivet in its true size, lying on its side"
          data-testid="glass"
          data-px-per-in={k}
        >
          <path
            class="metal"
            d="M{axis - section.shankRadiusIn * k} {faceY} V{faceY +
              section.shankEndIn * k} H{axis + section.shankRadiusIn * k} V{faceY} Z"
          />
          <path class="metal" d={closedPath(section.headIn, { axis, faceY, pxPerIn: k })} />
        </svg>
        <p class="hint">
          Lay the rivet on it. {stack.length.ok ? stack.length.result.partNumber : ''}: shank
          {preferences.inWords(D)}, {preferences.inWords(section.shankEndIn)} under the head’s face.
        </p>
      {:else if what === 'head'}
        {@const r = (limits.diameterD.high * D * k) / 2}
        <svg
          width={2 * r + 40}
          height={2 * r + 40}
          role="img"
          aria-label="Shop heads at actual size: minimum, nominal and maximum"
          data-testid="glass"
          data-px-per-in={k}
        >
          {#each [limits.diameterD.high * D, nominal.wideIn, limits.diameterD.low * D] as wideIn, index (wideIn)}
            <circle
              class="ring"
              class:nominal={index === 1}
              cx={r + 20}
              cy={r + 20}
              r={(wideIn / 2) * k}
            />
          {/each}
        </svg>
        <p class="hint">
          A good head covers the inner ring and stays within the outer:
          {preferences.inWords(limits.diameterD.low * D)} to {preferences.inWords(
            limits.diameterD.high * D
          )} wide, nominal {preferences.inWords(nominal.wideIn)} (dashed). For reference only. Measure
          with calipers.
        </p>
      {:else if layout}
        <svg
          width={CORNER_IN.wide * k + 20}
          height={CORNER_IN.high * k + 20}
          role="img"
          aria-label="The datum corner in true size"
          data-testid="glass"
          data-px-per-in={k}
        >
          <PlanMetal {layout} place={corner} />
          {#each near as hole (hole.number)}
            <circle
              class="hole"
              cx={corner.x(hole.xIn)}
              cy={corner.y(hole.yIn)}
              r={(rivetSize(hole.dash).nominalHoleIn / 2) * k}
            />
          {/each}
        </svg>
        <p class="hint">The corner that marks are measured from, as far as {CORNER_IN.wide} in.</p>
      {/if}
    </div>
    <button class="act" type="button" onclick={() => (setting = true)}>Recalibrate screen</button>
  {/if}
</Sheet>

<style>
  svg {
    display: block;
    max-width: none;
  }
  .glass {
    overflow: auto;
  }
  .card {
    fill: var(--metal-light);
    stroke: var(--ink);
    stroke-width: 1;
  }
  .tick {
    stroke: var(--ink);
  }
  .metal {
    fill: var(--metal-light);
    stroke: var(--ink);
    stroke-width: 1;
    stroke-linejoin: round;
  }
  .ring {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1;
  }
  .ring.nominal {
    stroke: var(--olive-deep);
    stroke-dasharray: 5 4;
  }
  .hole {
    fill: var(--paper);
    stroke: var(--ink);
  }
</style>
