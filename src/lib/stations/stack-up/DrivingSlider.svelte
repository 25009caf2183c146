<script lang="ts">
  import { STACK } from '$lib/words/pages/stack';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { PlannedStack } from '$core/plan/plan-shape.ts';
  import type { StackView } from '$core/plan/stack-view.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Slider from '../../ui/kit/Slider.svelte';

  /** Drives the rivet of the drawing from inserted to finished. */
  interface Props {
    stack: PlannedStack;
    travel: NonNullable<StackView['travel']>;
    heightIn: number;
    onheight: (heightIn: number) => void;
  }
  let { stack, travel, heightIn, onheight }: Props = $props();
  const preferences = usePreferences();
  const D = $derived(rivetSize(stack.dash).diameterIn);
  const band = $derived(stack.head.ok ? stack.head.result.heightBandD : null);
  const share = $derived((travel.fromIn - heightIn) / (travel.fromIn - travel.toIn));
  const STEPS = 200;
  const at = (part: number) => travel.fromIn + (travel.toIn - travel.fromIn) * part;
  type Driven = 'filling' | 'never' | 'high' | 'low' | 'good';
  const driven = $derived<Driven>(
    heightIn >= travel.fullHoleIn
      ? 'filling'
      : band === null
        ? 'never'
        : heightIn > band.high * D
          ? 'high'
          : heightIn < band.low * D
            ? 'low'
            : 'good'
  );
  const SAYS: Record<Driven, () => string> = {
    filling: () => STACK.theShankStillFillsThe,
    never: () => 'no height gives a good head',
    high: () => `too high: drive to ${preferences.inWords((band?.high ?? 0) * D)}`,
    low: () => `overdriven: stop at ${preferences.inWords((band?.low ?? 0) * D)}`,
    good: () => STACK.insideTheLimitsStopHere
  };
  const said = $derived(SAYS[driven]());
  const percent = (inches: number) =>
    (100 * (travel.fromIn - inches)) / (travel.fromIn - travel.toIn);
</script>

<div class="driving">
  <button class="act inserted" type="button" onclick={() => onheight(travel.fromIn)}
    >{STACK.inserted}</button
  >
  <div class="slide">
    {#if band}
      <span
        class="band"
        style:left="{percent(band.high * D)}%"
        style:width="{percent(band.low * D) - percent(band.high * D)}%"
      ></span>
    {/if}
    <Slider
      label={STACK.howFarItIsDriven}
      max={STEPS}
      value={Math.round(share * STEPS)}
      said="{preferences.inWords(heightIn)} high, {said}"
      onchange={(step) => onheight(at(step / STEPS))}
    />
  </div>
  <button
    class="act good-head"
    type="button"
    disabled={band === null}
    onclick={() => onheight(travel.restIn)}>{STACK.goodHead}</button
  >
  <output class="said" class:good={driven === 'good'}>{said}</output>
</div>

<style>
  .driving {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr) auto minmax(0, 15rem);
    align-items: center;
    gap: 10px;
  }
  /* the slider has a row of its own where there is no room beside it */
  @container (max-width: 700px) {
    .driving {
      grid-template-columns: auto auto minmax(0, 1fr);
    }
    .slide {
      grid-column: 1 / -1;
      order: -1;
      margin-inline: 8px;
    }
  }
  .slide {
    position: relative;
    display: block;
    height: 44px;
  }
  .band {
    position: absolute;
    top: 12px;
    height: 20px;
    background: color-mix(in srgb, var(--olive) 45%, transparent);
    border-inline: 2px solid var(--olive-deep);
  }
  .said {
    line-height: 1.2;
    color: var(--ink-soft);
  }
  .good {
    font-weight: 700;
    color: var(--olive-deep);
  }
</style>
