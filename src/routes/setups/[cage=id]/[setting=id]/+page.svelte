<script lang="ts">
  import { untrack } from 'svelte';
  import { page } from '$app/state';
  import CageGuide from '$lib/ui/cages/CageGuide.svelte';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const person = untrack(() => page.data['person'] as { name: string } | null);
</script>

<svelte:head><title>{data.setting.cage.name} · Zanjador</title></svelte:head>

<h1 class="sr-only">{data.setting.cage.name}</h1>
{#key data.setting.id}
  <CageGuide setting={data.setting} person={person?.name ?? ''} />
{/key}
