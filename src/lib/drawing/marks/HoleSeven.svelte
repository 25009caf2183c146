<script lang="ts">
  import Glyph from '$lib/ui/marks/Glyph.svelte';
  import { COMMON } from '$lib/words/pages/common';
  import { besidePicked, type MapMark } from './map-mark';

  /** Seven holes beside the picked one, enlarged for a finger: where marks are small, or are touched. */
  interface Props {
    marks: readonly MapMark[];
    /** holes one after the other, as they are worked */
    order: readonly number[];
    picked: number | null;
    radiusPx: number;
    /** marks lie close: shown to a mouse too */
    dense: boolean;
    onpick: (hole: number) => void;
  }
  let { marks, order, picked, radiusPx, dense, onpick }: Props = $props();
  const byNumber = $derived(new Map(marks.map((mark) => [mark.number, mark])));
  const seven = $derived(besidePicked(order, picked));
  const frame = $derived(radiusPx * 2);
  const step = (by: number) => {
    const to = order[order.indexOf(picked ?? seven[0] ?? 0) + by];
    if (to !== undefined) onpick(to);
  };
</script>

{#if order.length > seven.length}
  <div class="seven" class:dense role="group" aria-label={COMMON.holesBeside} data-testid="seven">
    <button
      class="act"
      type="button"
      aria-label={COMMON.holeBefore}
      disabled={picked === order[0]}
      onclick={() => step(-1)}>‹</button
    >
    {#each seven as number (number)}
      {@const mark = byNumber.get(number)}
      <button
        class="one"
        type="button"
        aria-pressed={number === picked}
        aria-label={mark?.label ?? `hole ${number}`}
        onclick={() => onpick(number)}
      >
        <svg
          viewBox="{-frame} {-frame} {2 * frame} {2 * frame}"
          width="36"
          height="36"
          aria-hidden="true"
          >{#if mark}<Glyph glyph={mark.glyph} />{/if}</svg
        >
        <span>{number}</span>
      </button>
    {/each}
    <button
      class="act"
      type="button"
      aria-label={COMMON.holeAfter}
      disabled={picked === order.at(-1)}
      onclick={() => step(1)}>›</button
    >
  </div>
{/if}

<style>
  .seven {
    display: none;
    grid-template-columns: 44px repeat(7, minmax(34px, 1fr)) 44px;
    gap: 2px;
    max-width: 560px;
  }
  .dense {
    display: grid;
  }
  @media (pointer: coarse), (max-width: 600px) {
    .seven {
      display: grid;
    }
  }
  .act {
    padding: 0;
  }
  .one {
    display: grid;
    justify-items: center;
    min-height: 56px;
    padding: 2px 0;
    border: 1.5px solid transparent;
    border-radius: 8px;
    cursor: pointer;
  }
  .one[aria-pressed='true'] {
    border-color: var(--dye);
    background: var(--dye-soft);
  }
  span {
    font-size: 14px;
    font-variant-numeric: tabular-nums;
  }
</style>
