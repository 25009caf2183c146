<script lang="ts">
  import { invalidateAll } from '$app/navigation';
  import CageForm from '$lib/ui/cages/CageForm.svelte';
  import SettingLine from '$lib/ui/cages/SettingLine.svelte';
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

<div class="setups">
  <h1>Countersink cages</h1>
  {#if data.task}
    {@const { setup } = data.task}
    <p class="for" data-testid="task">
      For <strong>{data.task.work}</strong>: {data.task.holes.length} holes, dash {setup.dash}, in
      <Length lengthIn={setup.sheetIn} decimal />
      {setup.material}{#if setup.skinIn !== null}&nbsp;beneath a dimple of <Length
          lengthIn={setup.skinIn}
          decimal
        />{/if}. Which cage?
    </p>
  {/if}
  <div class="halves">
    <div class="list">
      {#each data.cages as { id, cage, settings } (id)}
        <section aria-labelledby="cage-{id}">
          <header>
            <h2 id="cage-{id}">{cage.name}<span class="cutter">, {cage.cutter}</span></h2>
            <a class="act main" href="/setups/{id}{taskAsQuery(data.task)}"
              >{data.task ? 'Take this one' : 'Set it'}</a
            >
          </header>
          <p class="hint">
            {cage.cutterDeg}°, <Length lengthIn={cage.cutterIn} decimal /> wide · pilot <Length
              lengthIn={cage.pilotIn}
              decimal
            />, stands out <Length lengthIn={cage.pilotLengthIn} decimal />
          </p>
          {#each settings.slice(0, SHOWN) as setting (setting.id)}
            <SettingLine {setting} href="/setups/{id}/{setting.id}" />
          {:else}
            <p class="hint">Never set yet.</p>
          {/each}
          {#if settings.length > SHOWN}
            <a class="older" href="/setups/{id}">all {settings.length} settings</a>
          {/if}
        </section>
      {:else}
        <p class="hint">
          No cage is known yet. Write down the first one at the right: what stands on its tape,
          which cutter and pilot are in it.
        </p>
      {/each}
    </div>
    <aside><CageForm ondone={() => void invalidateAll()} /></aside>
  </div>
</div>

<style>
  .setups {
    padding: 1.2rem 1.6rem;
  }
  h1 {
    font-size: 1.7rem;
  }
  .for {
    margin: 6px 0 10px;
    padding: 8px 12px;
    border-left: 5px solid var(--olive);
    background: var(--olive-soft);
    border-radius: 8px;
  }
  .halves {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 340px;
    gap: 18px;
    align-items: start;
    margin-top: 10px;
  }
  .list {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
  section,
  aside {
    padding: 12px 16px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--panel);
  }
  header {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 12px;
  }
  h2 {
    font-size: 1.2rem;
  }
  .cutter {
    color: var(--ink-soft);
  }
  .older {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
  }
  @media (max-width: 900px) {
    .halves {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
