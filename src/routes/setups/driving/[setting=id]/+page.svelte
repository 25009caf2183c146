<script lang="ts">
  import { untrack } from 'svelte';
  import { page } from '$app/state';
  import ToolGuide from '$lib/ui/tool-setting/ToolGuide.svelte';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const person = untrack(() => page.data['person'] as { name: string } | null);
</script>

<svelte:head><title>{data.setting.setup.name} · Zanjador</title></svelte:head>

<h1 class="sr-only">{data.setting.setup.name}</h1>
{#key data.setting.id}
  <ToolGuide setting={data.setting} person={person?.name ?? ''} />
{/key}
