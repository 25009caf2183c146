<script lang="ts">
  import { BENCH } from '$lib/words/pages/bench';
  import { STATIONS } from '$lib/stations/stations.ts';
  import Sheet from '../ui/kit/Sheet.svelte';

  interface Props {
    open: boolean;
    onclose: () => void;
  }
  let { open, onclose }: Props = $props();
  const KEYS: readonly (readonly [key: string, does: string])[] = [
    [`Alt 1 … ${STATIONS.length}`, 'stages'],
    ['Enter', 'on to the next field that is needed'],
    ['[  ]', BENCH.holeBackHoleOn],
    ['U', 'lengths: fractions, decimal, thou, mm'],
    ['A', 'all calculations'],
    ['Ctrl Z', 'undo'],
    ['Ctrl Shift Z', 'redo'],
    ['+  −  0', 'zoom and fit, on a drawing'],
    ['← ↑ → ↓', 'move, on a drawing'],
    ...STATIONS.flatMap(({ name, keys }) =>
      keys.map(([key, does]): [string, string] => [key, `${name}: ${does}`])
    ),
    ['Esc', 'leave a field'],
    ['?', 'this list']
  ];
</script>

<Sheet title="Keyboard shortcuts" {open} {onclose}>
  <dl>
    {#each KEYS as [key, what] (what)}
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
