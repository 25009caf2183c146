<script lang="ts">
  import type { PlanWarning } from '$core/plan/plan-shape.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { warningInWords } from '$lib/words/warnings';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Notice from '../kit/Notice.svelte';
  import { wayInWords } from '$lib/words/ways';

  /** What one must know, each pointing at its holes and at what would settle it. */
  interface Props {
    warnings: readonly PlanWarning[];
  }
  let { warnings }: Props = $props();
  const workspace = useWorkspace();
  const preferences = usePreferences();
  const MOST_NAMED = 8;
</script>

{#each warnings as warning, index (index)}
  {@const { title, text } = warningInWords(warning, preferences.inWords)}
  <Notice
    testid="warning-{warning.said.code === 'limit' ? warning.said.rule : warning.said.code}"
    level={warning.level}
    {title}
    {text}
  >
    {#if warning.holes && warning.holes.length > 0}
      <div class="holes" role="group" aria-label="Holes of: {title}">
        {#each warning.holes.slice(0, MOST_NAMED) as hole (hole)}
          <button
            class="act small"
            type="button"
            aria-pressed={hole === workspace.picked}
            onclick={() => (workspace.picked = hole)}>{hole}</button
          >
        {/each}
      </div>
    {/if}
    {#if warning.ways && warning.ways.length > 0}
      <div class="holes">
        {#each warning.ways as way (way.said)}
          <button
            data-testid="way-{way.said.code}"
            class="act"
            type="button"
            onclick={() => workspace.take(way)}>{wayInWords(way.said, preferences.inWords)}</button
          >
        {/each}
      </div>
    {/if}
  </Notice>
{/each}

<style>
  .holes {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin-top: 6px;
  }
  [aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
</style>
