<script lang="ts">
  import type { PlannedHole } from '$core/plan/holes.ts';

  /** A ring's marks: each hole by its distances from the center lines. */
  interface Props {
    marks: readonly PlannedHole[];
    figure: (inches: number) => string;
    picked: number;
    onpick: (hole: number) => void;
  }
  let { marks, figure, picked, onpick }: Props = $props();
</script>

<ul>
  {#each marks as mark (mark.number)}
    <li>
      <button
        type="button"
        class:chosen={mark.number === picked}
        data-mark={mark.number}
        onclick={() => onpick(mark.number)}
      >
        <strong>{mark.number}</strong>
        <span>{mark.markIn < 0 ? '←' : '→'} {figure(mark.markIn)}</span>
        <span>{(mark.crossMarkIn ?? 0) < 0 ? '↑' : '↓'} {figure(mark.crossMarkIn ?? 0)}</span>
      </button>
    </li>
  {/each}
</ul>

<style>
  ul {
    display: flex;
    gap: 6px;
    overflow-x: auto;
    padding: 2px 0 4px;
  }
  button {
    display: grid;
    min-width: 86px;
    padding: 4px 10px;
    text-align: left;
    border: 1.5px solid var(--line-strong);
    border-radius: 8px;
    background: var(--panel);
    font-variant-numeric: tabular-nums;
    white-space: nowrap;
    cursor: pointer;
  }
  .chosen {
    border-color: var(--dye);
    background: var(--dye-soft);
  }
</style>
