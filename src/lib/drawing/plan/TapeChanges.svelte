<script lang="ts">
  import { shortPart, type LengthChange } from '$core/plan/length-runs.ts';

  /** Where on the tape the rivet changes, with the size and length on each side. */
  interface Props {
    places: readonly { change: LengthChange; at: number }[];
  }
  let { places }: Props = $props();
</script>

{#each places as { change, at } (change.afterHole)}
  <path class="change" d="M{at} 0 V90" />
  <text class="part" x={at - 4} y="58" text-anchor="end" data-change={change.afterHole}
    >{shortPart(change.from)}</text
  >
  <text class="part" x={at + 4} y="58">{shortPart(change.to)}</text>
{/each}

<style>
  .change {
    stroke: var(--amber);
    stroke-width: 2;
    stroke-dasharray: 6 4;
  }
  .part {
    font-size: 14px;
    font-weight: 700;
    fill: var(--amber);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 4px;
  }
</style>
