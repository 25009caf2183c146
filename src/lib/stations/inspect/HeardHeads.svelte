<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { isMeasured, type HoleEvent } from '$core/inspect/hole-events.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { RESULT_NAMES } from '$lib/words/results.ts';

  /** What the charts show, for whoever does not see them. */
  interface Props {
    events: readonly HoleEvent[];
  }
  let { events }: Props = $props();
  const preferences = usePreferences();
</script>

<table class="sr-only">
  <caption>Heads measured</caption>
  <thead
    ><tr
      ><th scope="col">Hole</th><th scope="col">{COMMON.diameter}</th><th scope="col"
        >{COMMON.height}</th
      ><th scope="col">Result</th></tr
    ></thead
  >
  <tbody>
    {#each events.filter(isMeasured) as { id, hole, diameterIn, heightIn, frozen } (id)}
      <tr
        ><th scope="row">{hole}</th><td>{preferences.inWords(diameterIn)}</td><td
          >{preferences.inWords(heightIn)}</td
        ><td>{RESULT_NAMES[frozen.verdict]}</td></tr
      >
    {/each}
  </tbody>
</table>
