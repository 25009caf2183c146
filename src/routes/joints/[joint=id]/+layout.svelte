<script lang="ts">
  import type { Snippet } from 'svelte';
  import { page } from '$app/state';
  import JointBench from '$lib/joint-page/JointBench.svelte';
  import type { StationKey } from '$lib/stations/stations.ts';
  import type { LayoutData } from './$types';

  interface Props {
    data: LayoutData;
    children: Snippet;
  }
  let { data, children }: Props = $props();
  const station = $derived((page.params['station'] ?? 'size') as StationKey);
</script>

<svelte:head><title>{data.joint.title} · Zanjador</title></svelte:head>

{#key data.joint.id}
  <JointBench
    joint={data.joint}
    release={data.release}
    events={data.events}
    driving={data.driving}
    rework={data.rework}
    signedBy={data.signedBy}
    since={data.since}
    toolsSet={data.toolsSet}
    shop={data.shop}
    drawers={data.drawers}
    ready={data.ready}
    person={data.person?.name ?? ''}
    role={data.person?.role ?? null}
    {station}
  >
    {@render children()}
  </JointBench>
{/key}
