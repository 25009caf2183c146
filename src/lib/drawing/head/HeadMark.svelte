<script lang="ts">
  import type { MarkShape } from '$core/catalog/alloys.ts';

  /** A manufactured head from above with its alloy's mark. Diameters in pixels. */
  interface Props {
    shape: MarkShape;
    cx: number;
    cy: number;
    radius: number;
  }
  let { shape, cx, cy, radius: r }: Props = $props();
</script>

<circle class="head" {cx} {cy} {r} />
<circle class="rim" {cx} {cy} r={r * 0.86} />
{#if shape === 'dimple'}
  <circle class="sunk" {cx} {cy} r={r * 0.17} />
{:else if shape === 'raised-dot'}
  <circle class="raised" {cx} {cy} r={r * 0.17} />
{:else if shape === 'two-dashes'}
  {#each [-1, 1] as side (side)}
    <rect
      class="raised"
      x={side < 0 ? cx - r * 0.78 : cx + r * 0.34}
      y={cy - r * 0.08}
      width={r * 0.44}
      height={r * 0.16}
      rx={r * 0.05}
    />
  {/each}
{:else if shape === 'cross'}
  <path
    class="raised"
    d="M{cx - r * 0.07} {cy - r * 0.42}h{r * 0.14}v{r * 0.35}h{r * 0.35}v{r * 0.14}h{-r * 0.35}v{r *
      0.35}h{-r * 0.14}v{-r * 0.35}h{-r * 0.35}v{-r * 0.14}h{r * 0.35}z"
  />
{:else if shape === 'ring'}
  <circle class="band" {cx} {cy} r={r * 0.4} stroke-width={r * 0.12} />
{/if}

<style>
  .head {
    fill: var(--metal-light);
    stroke: var(--ink);
    stroke-width: 1.8;
  }
  .rim {
    fill: none;
    stroke: var(--metal-edge);
    stroke-width: 0.8;
    opacity: 0.6;
  }
  .sunk {
    fill: var(--ink);
  }
  .raised {
    fill: var(--panel);
    stroke: var(--ink);
    stroke-width: 1.8;
  }
  .band {
    fill: none;
    stroke: var(--ink-soft);
  }
</style>
