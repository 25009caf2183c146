<script lang="ts">
  import LaterStation from '$lib/joint-page/LaterStation.svelte';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
</script>

{#if data.Page}
  <data.Page />
{:else}
  <LaterStation station={data.station} />
{/if}
