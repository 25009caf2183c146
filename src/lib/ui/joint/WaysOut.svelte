<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { Answer } from '$core/answer.ts';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Notice from '../kit/Notice.svelte';
  import { wayInWords } from '$lib/words/ways';

  /** A rule said no: which, and the nearest changes that would work, each one tap. */
  interface Props {
    refused: Answer<unknown>;
  }
  let { refused }: Props = $props();
  const preferences = usePreferences();
  const workspace = useWorkspace();
</script>

{#if !refused.ok}
  <Notice level="stop" title="Not feasible" text={preferences.refusal(refused.error.said)}>
    {#if workspace.ways.length > 0}
      <p class="would">Fixes:</p>
      <div class="ways">
        {#each workspace.ways as way (way.said)}
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
{/if}

<style>
  .would {
    margin-top: 8px;
    color: var(--ink);
  }
  .ways {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-top: 4px;
  }
</style>
