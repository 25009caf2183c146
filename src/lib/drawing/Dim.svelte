<script lang="ts">
  import { dimTextPx } from './dim-text';

  /** A dimension line between two points of one axis, in screen pixels, with its text. */
  interface Props {
    /** the fixed coordinate: y of a horizontal one, x of a vertical one */
    at: number;
    from: number;
    to: number;
    text: string;
    axis?: 'x' | 'y';
    /** a vertical one's text stands on this side */
    side?: 'left' | 'right';
    strong?: boolean;
    /** where a text that does not fit between stands */
    spill?: 'before' | 'after' | 'below';
  }
  let {
    at,
    from,
    to,
    text,
    axis = 'x',
    side = 'left',
    strong = false,
    spill = 'before'
  }: Props = $props();
  const middle = $derived((from + to) / 2);
  const textWidth = $derived(dimTextPx(text) + 10);
  const room = $derived(Math.abs(to - from) > textWidth + 16);
</script>

<g class="dim" class:strong>
  {#if axis === 'x'}
    <path d="M{from} {at} H{to} M{from} {at - 6} v12 M{to} {at - 6} v12" />
    {#if room}
      <rect x={middle - textWidth / 2} y={at - 10} width={textWidth} height="20" />
      <text x={middle} y={at + 5} text-anchor="middle">{text}</text>
    {:else if spill === 'below'}
      <text x={middle} y={at + 19} text-anchor="middle">{text}</text>
    {:else}
      <text
        x={spill === 'before' ? from - 8 : to + 8}
        y={at + 5}
        text-anchor={spill === 'before' ? 'end' : 'start'}>{text}</text
      >
    {/if}
  {:else}
    <path d="M{at} {from} V{to} M{at - 6} {from} h12 M{at - 6} {to} h12" />
    <text
      x={side === 'left' ? at - 10 : at + 10}
      y={middle + 5}
      text-anchor={side === 'left' ? 'end' : 'start'}>{text}</text
    >
  {/if}
</g>

<style>
  .dim path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1;
  }
  .dim rect {
    fill: var(--paper);
  }
  .dim text {
    font-size: 14px;
    font-variant-numeric: tabular-nums;
  }
  .strong text {
    font-weight: 700;
  }
</style>
