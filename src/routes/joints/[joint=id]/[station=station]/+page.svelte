<script lang="ts">
  import { page } from '$app/state';
  import CarryStation from '$lib/ui/stations/CarryStation.svelte';
  import CheckStation from '$lib/ui/stations/CheckStation.svelte';
  import LaterStation from '$lib/ui/stations/LaterStation.svelte';
  import LayOutStation from '$lib/ui/stations/LayOutStation.svelte';
  import MakeReadyStation from '$lib/ui/stations/MakeReadyStation.svelte';
  import StackStation from '$lib/ui/stations/StackStation.svelte';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const station = $derived(page.params['station']);
</script>

{#if station === 'carry'}
  <CarryStation />
{:else if station === 'lay-out'}
  <LayOutStation />
{:else if station === 'stack'}
  <StackStation />
{:else if station === 'check'}
  <CheckStation person={data.person} />
{:else if station === 'make-ready'}
  <MakeReadyStation />
{:else if station === 'drive' || station === 'sign'}
  <LaterStation {station} />
{/if}
