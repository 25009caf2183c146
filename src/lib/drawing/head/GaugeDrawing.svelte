<script lang="ts">
  import { pathData } from '$core/exchange/strokes.ts';
  import type { Pattern } from '$core/exchange/pattern.ts';

  /** A gauge plate to scale, fitted to its room. */
  interface Props {
    pattern: Pattern;
  }
  let { pattern }: Props = $props();
  const BEYOND_IN = 0.08;
</script>

<svg
  viewBox="{pattern.xIn - BEYOND_IN} {pattern.yIn - BEYOND_IN} {pattern.wIn +
    2 * BEYOND_IN} {pattern.hIn + 2 * BEYOND_IN}"
  role="img"
  aria-label="The gauge plate to scale"
  data-testid="gauge"
>
  {#each pattern.strokes as one, index (index)}
    {#if one.stroke === 'line'}
      <path class="edge" d="M{one.x1In} {one.y1In}L{one.x2In} {one.y2In}" />
    {:else if one.stroke === 'path'}
      <path class="plate" d={pathData(one, 1)} />
    {:else if one.stroke === 'circle'}
      <circle class="edge" cx={one.xIn} cy={one.yIn} r={one.radiusIn} />
    {:else if one.stroke === 'text'}
      <text x={one.xIn} y={one.yIn} font-size={one.heightIn * 1.5}>{one.text}</text>
    {/if}
  {/each}
</svg>

<style>
  svg {
    width: 100%;
    max-height: 300px;
  }
  .plate {
    fill: var(--metal-light);
    stroke: var(--ink);
    stroke-width: 0.012;
    stroke-linejoin: round;
  }
  .edge {
    fill: var(--panel);
    stroke: var(--ink);
    stroke-width: 0.012;
    stroke-linecap: round;
  }
  text {
    fill: var(--ink);
    font-weight: 700;
  }
</style>
