<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { onMount } from 'svelte';
  import { cold } from '$lib/client/cold.svelte';
  import { tone } from '$lib/client/tone';
  import ColdLines from './ColdLines.svelte';

  /** Runs the clocks of batches out of the cold, shows them on every page, and is heard where one allowed it. */
  onMount(() => cold.run());
  const TONES = { due: 523, expired: 262 } as const;
  const loud = $derived(
    cold.running
      .filter(({ now }) => now.state === 'due' || now.state === 'expired')
      .map(({ id, now }) => `${id} ${now.state}`)
      .join()
  );
  let heard = '';
  $effect(() => {
    const fresh = loud.split(',').filter((one) => one !== '' && !heard.split(',').includes(one));
    heard = loud;
    if (fresh.length > 0 && cold.sound)
      tone(fresh.some((one) => one.endsWith('expired')) ? TONES.expired : TONES.due, 1.2);
  });
</script>

<ColdLines />
{#if cold.running.length > 0}
  <p class="sr-only" role="status">
    {#each cold.running as { id, now, lot } (id)}
      {#if now.state === 'due'}{COMMON.lot}
        {lot} is due.{:else if now.state === 'expired'}{COMMON.lot} {lot} has expired.{/if}
    {/each}
  </p>
{/if}
