<script lang="ts">
  import { GAUGES_IN } from '$core/catalog/gauges.ts';
  import { writeDecimal } from '$core/units/format-length.ts';
  import CageSettingLine from '$lib/ui/cages/CageSettingLine.svelte';
  import CageSetupForm from '$lib/ui/cages/CageSetupForm.svelte';
  import Length from '$lib/ui/kit/Length.svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const preferences = usePreferences();
  const cage = $derived(data.cage.cage);
</script>

<svelte:head><title>{cage.name} · Zanjador</title></svelte:head>

<div class="page">
  <p class="label"><a class="back" href="/setups">Stop countersinks</a></p>
  <h1>{cage.name}, {cage.cutter}</h1>
  <p>
    {cage.cutterDeg}° cutter, <Length lengthIn={cage.cutterIn} decimal /> wide · pilot <Length
      lengthIn={cage.pilotIn}
      decimal
    />, length <Length lengthIn={cage.pilotLengthIn} decimal />
    {#if data.task}
      · for <strong>{data.task.work}</strong>, {data.task.holes.length} holes{/if}
  </p>
  {#key data.cage.id}
    <CageSetupForm
      cageId={data.cage.id}
      {cage}
      remembered={data.cage.settings}
      task={data.task}
      recheckEvery={data.recheckEvery}
    />
  {/key}
  <section class="boxed" aria-labelledby="had">
    <h2 id="had" class="label">Setting history</h2>
    {#each data.cage.settings as setting (setting.id)}
      <CageSettingLine {setting} />
    {:else}
      <p class="hint">None yet.</p>
    {/each}
  </section>
</div>
<datalist id="gauges">
  {#each GAUGES_IN as gauge (gauge)}<option value={preferences.offered(writeDecimal(gauge, 3, 4))}
    ></option>{/each}
</datalist>

<style>
  .label a {
    display: inline-flex;
    align-items: center;
    min-height: 32px;
  }
</style>
