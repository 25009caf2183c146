<script lang="ts">
  import { onMount } from 'svelte';
  import { SvelteSet } from 'svelte/reactivity';
  import { z } from 'zod';
  import type { ReadyStep } from '$core/prepare/step-list.ts';
  import { recalled, remember } from '$lib/client/remembered';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Sheet from '../../ui/kit/Sheet.svelte';
  import { boardTools, type Silhouette } from './board-tools';

  /** The tools this joint takes, as shadows on a board: each is ticked when it lies on the bench. */
  interface Props {
    jointId: string;
    steps: readonly ReadyStep[];
    open: boolean;
    onclose: () => void;
  }
  let { jointId, steps, open, onclose }: Props = $props();
  const preferences = usePreferences();
  const tools = $derived(boardTools(steps, preferences.inWords));
  const there = new SvelteSet<string>();
  const onBoard = $derived(tools.filter(({ key }) => there.has(key)).length);
  const kept = $derived(`board.${jointId}`);
  onMount(() => recalled(kept, z.array(z.string()))?.forEach((key) => there.add(key)));
  function toggle(key: string): void {
    if (!there.delete(key)) there.add(key);
    remember(kept, [...there]);
  }

  /** In a field of 64 by 64. */
  const SHAPES: Record<Silhouette, string> = {
    drill: 'M30 4h4l1 30 3 3v6h-3v15l-3 5-3-5V43h-3v-6l3-3Z',
    saw: 'M6 24h36l4 4 4-4 4 4v12H6ZM54 26c8 0 8 16 0 16Z',
    cutter: 'M26 4h12v16h6v10h6v8H42l-10 12-10-12H14v-8h6V20h6Z',
    dies: 'M18 6h28v12H36l-4 8-4-8H18ZM18 58h28V44H36l-4-8-4 8H18Z',
    holder: 'M26 4h12v8h-3v12h6v20H35l-2 16h-2l-2-16h-6V24h6V12h-3Z',
    clamp: 'M14 6h36v14h-9V14H24v36h17v-8h9v16H14ZM36 22h14v6H36ZM42 28h4v8h-4Z',
    punch: 'M28 4h8v34l-4 22-4-22Z',
    deburr: 'M22 4h20v22l-6 6v10h10l-14 18V34l-10-8Z',
    brush: 'M28 4h8v26h8v10l4 20H16l4-20V30h8Z',
    file: 'M28 4h8v12h4v40l-8 6-8-6V16h4Z'
  };
</script>

<Sheet title="Tools: {onBoard} of {tools.length} ready" {open} {onclose}>
  {#if tools.length === 0}
    <p class="hint">No tools yet. Complete the layout first.</p>
  {/if}
  <ul class="board" data-testid="shadow-board">
    {#each tools as tool (tool.key)}
      <li>
        <button
          type="button"
          aria-pressed={there.has(tool.key)}
          class:there={there.has(tool.key)}
          onclick={() => toggle(tool.key)}
        >
          <svg viewBox="0 0 64 64" aria-hidden="true"><path d={SHAPES[tool.silhouette]} /></svg>
          <span>
            <strong>{there.has(tool.key) ? '✓ ' : ''}{tool.name}</strong>
            {#if tool.setting !== ''}<small>{tool.setting}</small>{/if}
            <small>step {tool.steps.join(', ')}</small>
          </span>
        </button>
      </li>
    {/each}
  </ul>
</Sheet>

<style>
  .board {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
    gap: 8px;
  }
  button {
    display: flex;
    align-items: center;
    gap: 10px;
    width: 100%;
    height: 100%;
    min-height: 84px;
    padding: 8px 10px;
    border: 1.5px dashed var(--line-strong);
    border-radius: 10px;
    text-align: left;
    line-height: 1.25;
    cursor: pointer;
  }
  .there {
    border-style: solid;
    border-color: var(--olive);
    background: var(--olive-soft);
  }
  svg {
    flex: none;
    width: 56px;
    height: 56px;
  }
  /* a shadow until the tool hangs over it */
  path {
    fill: color-mix(in srgb, var(--ink) 22%, transparent);
    stroke: var(--ink-soft);
    stroke-width: 1.5;
    stroke-dasharray: 3 2;
  }
  .there path {
    fill: var(--metal-edge);
    stroke: var(--ink);
    stroke-dasharray: none;
  }
  small {
    display: block;
    color: var(--ink-soft);
  }
</style>
