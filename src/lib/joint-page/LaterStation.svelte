<script lang="ts">
  import type { Station } from '$lib/stations/station.ts';

  /** A station that is not built yet says what it will do, and what to do meanwhile. */
  interface Props {
    station: Station;
  }
  let { station }: Props = $props();
</script>

<div class="later">
  <p class="label">Comes next</p>
  <h2>{station.name}</h2>
  <p class="asks">{station.asks}</p>
  {#if typeof station.page !== 'function'}
    <p>This station is not built yet. It will:</p>
    <ul>
      {#each station.page.will as promise (promise)}<li>{promise}</li>{/each}
    </ul>
    <p>Until then: {station.page.meanwhile}.</p>
  {/if}
</div>

<style>
  .later {
    display: flex;
    flex-direction: column;
    gap: 0.7rem;
    max-width: 640px;
    padding: 3rem;
  }
  h2 {
    font-size: 2rem;
  }
  .asks {
    font-size: 1.2rem;
  }
  ul {
    list-style: disc;
    padding-left: 1.4rem;
    line-height: 1.8;
  }
</style>
