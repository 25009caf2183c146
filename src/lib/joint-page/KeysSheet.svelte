<script lang="ts">
  import { BENCH } from '$lib/words/pages/bench';
  import Sheet from '../ui/kit/Sheet.svelte';

  interface Props {
    open: boolean;
    onclose: () => void;
  }
  let { open, onclose }: Props = $props();
  const KEYS = [
    ['1 … 7', 'stations'],
    ['[  ]', BENCH.holeBackHoleOn],
    ['U', 'lengths: fractions, decimal, thou, mm'],
    ['A', 'arithmetic of every number'],
    ['Ctrl Z', 'undo'],
    ['Ctrl Shift Z', 'redo'],
    ['+  −  0', 'zoom and fit, on a drawing'],
    ['← ↑ → ↓', 'move, on a drawing'],
    ['Shift ← →', 'Lay out: move the picked hole along its line'],
    ['H  P  Del', 'Lay out: hold it open, pin it, delete it'],
    ['R', 'Lay out: read the marks out, one at a time'],
    ['Space', 'reader: next mark'],
    ['Enter', 'Check: on to height, then record and next head'],
    ['Esc', 'leave a field, so that the keys work'],
    ['?', 'this list']
  ] as const;
</script>

<Sheet title="Keys" {open} {onclose}>
  <dl>
    {#each KEYS as [key, what] (key)}
      <dt><kbd>{key}</kbd></dt>
      <dd>{what}</dd>
    {/each}
  </dl>
</Sheet>

<style>
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 10px 16px;
    align-items: center;
  }
</style>
