<script lang="ts" module>
  import type { HeadVerdict } from '$core/check/findings.ts';

  export type MarkKind = HeadVerdict | 'out' | 'left' | 'on-condition' | 'to-do' | 'sending';
  /** The word that goes with each shape. */
  export const MARK_WORDS: Record<MarkKind, string> = {
    accept: 'good',
    'not-complete': 'not complete',
    'on-condition': 'good if straight and the sheets are flat',
    'drive-more': 'drive more',
    replace: KIT.drillOut,
    refer: 'refer',
    measure: 'measure again',
    out: 'empty hole',
    left: 'left on the data holder’s word',
    'to-do': 'to do',
    sending: 'on its way'
  };
</script>

<script lang="ts">
  import { KIT } from '$lib/words/pages/kit';
  /** A verdict as a shape, drawn around 0,0 inside an svg; never colour alone. */
  interface Props {
    kind: MarkKind;
    radius: number;
  }
  let { kind, radius }: Props = $props();
  const r = $derived(radius);
</script>

<g class="mark {kind}" stroke-width={Math.max(1.4, r / 6)} aria-hidden="true">
  {#if kind === 'accept'}
    <circle {r} />
    <path d="M{-r * 0.45} {r * 0.05} L{-r * 0.1} {r * 0.4} L{r * 0.5} {-r * 0.4}" />
  {:else if kind === 'on-condition'}
    <circle {r} />
    <path class="half" d="M0 {-r} A{r} {r} 0 0 1 0 {r} Z" />
  {:else if kind === 'not-complete'}
    <circle {r} />
    <path class="half" d="M0 0 V{-r} A{r} {r} 0 0 1 {r} 0 Z" />
  {:else if kind === 'drive-more'}
    <path class="body" d="M0 {-r * 1.15} L{r * 1.15} {r * 0.85} H{-r * 1.15} Z" />
    <path d="M0 {-r * 0.3} V{r * 0.6} M{-r * 0.45} {r * 0.15} H{r * 0.45}" />
  {:else if kind === 'replace'}
    <rect x={-r} y={-r} width={2 * r} height={2 * r} />
    <path
      d="M{-r * 0.45} {-r * 0.45} L{r * 0.45} {r * 0.45} M{r * 0.45} {-r * 0.45} L{-r * 0.45} {r *
        0.45}"
    />
  {:else if kind === 'refer'}
    <path class="body" d="M0 {-r * 1.25} L{r * 1.25} 0 L0 {r * 1.25} L{-r * 1.25} 0 Z" />
    <path d="M0 {-r * 0.55} V{r * 0.15} M0 {r * 0.5} V{r * 0.56}" />
  {:else if kind === 'measure'}
    <circle {r} />
    <path
      d="M{-r * 0.55} 0 H{r * 0.55} M{-r * 0.55} {-r * 0.3} V{r * 0.3} M{r * 0.55} {-r * 0.3} V{r *
        0.3}"
    />
  {:else if kind === 'left'}
    <path class="body" d="M0 {-r * 1.25} L{r * 1.25} 0 L0 {r * 1.25} L{-r * 1.25} 0 Z" />
    <path d="M{-r * 0.45} {r * 0.05} L{-r * 0.1} {r * 0.4} L{r * 0.5} {-r * 0.4}" />
  {:else if kind === 'out'}
    <circle r={r * 0.7} />
    <path d="M0 {-r * 1.2} V{r * 1.2} M{-r * 1.2} 0 H{r * 1.2}" />
  {:else}
    <circle {r} />
  {/if}
</g>

<style>
  .mark {
    fill: none;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .accept {
    stroke: var(--olive-deep);
  }
  .accept circle {
    fill: var(--olive-soft);
  }
  .on-condition {
    stroke: var(--amber-line);
  }
  .on-condition circle {
    fill: var(--panel);
  }
  .on-condition .half {
    fill: var(--amber-line);
  }
  .not-complete {
    stroke: var(--olive-deep);
  }
  .not-complete circle {
    fill: var(--panel);
  }
  .not-complete .half {
    fill: var(--olive-deep);
    stroke: none;
  }
  .drive-more {
    stroke: var(--amber-line);
  }
  .drive-more .body {
    fill: var(--amber-soft);
  }
  .replace {
    stroke: var(--brick-line);
  }
  .replace rect {
    fill: var(--brick-soft);
  }
  .refer {
    stroke: var(--dye);
  }
  .refer .body {
    fill: var(--dye-soft);
  }
  .measure {
    stroke: var(--amber-line);
  }
  .measure circle {
    fill: var(--panel);
  }
  .out {
    stroke: var(--ink);
  }
  .left {
    stroke: var(--olive-deep);
  }
  .left .body {
    fill: var(--olive-soft);
  }
  .to-do {
    stroke: var(--line-strong);
  }
  .to-do circle {
    fill: var(--panel);
  }
  .sending {
    stroke: var(--ink-soft);
    stroke-dasharray: 3 3;
  }
  .sending circle {
    fill: var(--panel);
  }
</style>
