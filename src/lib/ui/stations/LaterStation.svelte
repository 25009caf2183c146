<script lang="ts">
  import { STATIONS } from '$lib/stations.ts';

  /** A station that is not built yet says what it will do, and what to do meanwhile. */
  interface Props {
    station: 'drive' | 'sign';
  }
  let { station }: Props = $props();
  const about = $derived(STATIONS.find(({ key }) => key === station));
  const PROMISES: Record<Props['station'], { will: string[]; meanwhile: string }> = {
    drive: {
      will: [
        'name the gun, the bar and the squeezer gap for this rivet',
        'show the driving order, with every hole that must stay open',
        'run the clock of refrigerated rivets'
      ],
      meanwhile: 'drive as usual, then measure the heads under Check'
    },
    sign: {
      will: [
        'lay out the record: who did what, with which rivet and lot, to which data',
        'take the signature of a person entitled to sign',
        'print it'
      ],
      meanwhile: 'sign the paper record; nothing here replaces it'
    }
  };
</script>

<div class="later">
  <p class="label">Comes next</p>
  <h1>{about?.name}</h1>
  <p class="asks">{about?.asks}</p>
  <p>This station is not built yet. It will:</p>
  <ul>
    {#each PROMISES[station].will as promise (promise)}<li>{promise}</li>{/each}
  </ul>
  <p>Until then: {PROMISES[station].meanwhile}.</p>
</div>

<style>
  .later {
    display: flex;
    flex-direction: column;
    gap: 0.7rem;
    max-width: 640px;
    padding: 3rem;
  }
  h1 {
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
