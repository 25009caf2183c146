<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { invalidateAll } from '$app/navigation';
  import CageForm from '$lib/ui/cages/CageForm.svelte';
  import SetupsPage from '$lib/ui/kit/SetupsPage.svelte';
  import CageSettingLine from '$lib/ui/cages/CageSettingLine.svelte';
  import Length from '$lib/ui/kit/Length.svelte';
  import { taskAsQuery } from '$lib/setups-address';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const SHOWN = 4;
</script>

<svelte:head><title>Setups · Zanjador</title></svelte:head>

{#snippet forStep()}
  {#if data.task}
    {@const { setup } = data.task}
    {COMMON.for} <strong>{data.task.work}</strong>: {data.task.holes.length} holes, dash {setup.dash},
    in
    <Length lengthIn={setup.sheetIn} decimal />
    {setup.material}{#if setup.skinIn !== null}&nbsp;beneath a dimple of <Length
        lengthIn={setup.skinIn}
        decimal
      />{/if}. Select a stop countersink
  {/if}
{/snippet}
<SetupsPage here="cages" title="Stop countersinks" work={data.task ? forStep : undefined}>
  {#snippet list()}
    {#each data.cages as { id, cage, settings } (id)}
      <section aria-labelledby="cage-{id}">
        <header>
          <h2 id="cage-{id}">
            {cage.name}<span class="quiet-text">, {cage.cutter}</span>
          </h2>
          <a class="act" href="/setups/{id}{taskAsQuery(data.task)}"
            >{data.task ? 'Use this one' : COMMON.setIt}</a
          >
        </header>
        <p class="hint">
          {cage.cutterDeg}°, <Length lengthIn={cage.cutterIn} decimal /> wide · pilot <Length
            lengthIn={cage.pilotIn}
            decimal
          />, length <Length lengthIn={cage.pilotLengthIn} decimal />
        </p>
        {#each settings.slice(0, SHOWN) as setting (setting.id)}
          <CageSettingLine {setting} />
        {:else}
          <p class="hint">Not set up yet.</p>
        {/each}
        {#if settings.length > SHOWN}
          <a class="older" href="/setups/{id}">all {settings.length} settings</a>
        {/if}
      </section>
    {:else}
      <p class="hint">
        No stop countersinks yet. Add the first one: name on its tape, cutter and pilot.
      </p>
    {/each}
  {/snippet}
  {#snippet aside()}<CageForm ondone={() => void invalidateAll()} />{/snippet}
</SetupsPage>

<style>
  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 12px;
  }
  .older {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
  }
</style>
