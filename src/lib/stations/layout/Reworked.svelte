<script lang="ts">
  import type { InMetal } from '$core/releases/in-metal.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { inMetalInWords } from '$lib/words/releases';
  import { plural } from '$lib/words/writing';

  /** Holes of the plan whose place in the metal was reworked: what is there, and that the next release takes it over. */
  interface Props {
    inMetal: readonly InMetal[];
    onpick: (hole: number) => void;
  }
  let { inMetal, onpick }: Props = $props();
  const preferences = usePreferences();
</script>

<section class="reworked" aria-label="Reworked holes" data-testid="reworked">
  <p>
    <strong>{plural(inMetal.length, 'hole')} reworked</strong>, ⬡ in the plan: the metal is no
    longer as planned there. Patterns show what is there and drill nothing.
  </p>
  <ul>
    {#each inMetal as now (now.hole)}
      <li>
        <button class="act small" type="button" onclick={() => onpick(now.hole)}>{now.hole}</button>
        {inMetalInWords(now, preferences.inWords)}
      </li>
    {/each}
  </ul>
</section>

<style>
  .reworked {
    padding: 8px 12px;
    border-left: 5px solid var(--amber);
    border-radius: 8px;
    background: var(--amber-soft);
  }
  li {
    display: flex;
    align-items: center;
    gap: 8px;
    margin-top: 4px;
  }
</style>
