<script lang="ts">
  import { DRIVE } from '$lib/words/pages/drive';
  import { alloyFacts } from '$core/catalog/alloys.ts';
  import type { RivetRun } from '$core/driving/rivet-runs.ts';
  import { useStock } from '$lib/client/stock';
  import type { DriveDesk } from './drive-desk.svelte';

  /** Of which lot rivets driven as received are; told again when another bag is opened. */
  interface Props {
    desk: DriveDesk;
    run: RivetRun;
    /** who is at the bench; empty when nobody said */
    person: string;
  }
  let { desk, run, person }: Props = $props();
  const stock = useStock();
  const id = $props.id();
  const told = $derived(desk.state.lots.get(run.partNumber));
  const bins = $derived([
    ...new Set(
      stock.drawers
        .filter(({ partNumber, lot }) => partNumber === run.partNumber && lot !== '')
        .map(({ lot }) => lot)
    )
  ]);
  const asReceived = $derived(alloyFacts(run.alloy).cold === null);
  let asking = $state(false);
  let typed = $state('');
  const MOST = 60;

  function load(lot: string): void {
    if (lot.trim() === '' || !desk.load(run.partNumber, lot.trim())) return;
    typed = '';
    asking = false;
  }
</script>

{#if asReceived}
  <div class="lot" data-testid="run-lot">
    <p class:warns={!told}>
      <span>{told ? `✓ Lot ${told.lot}` : DRIVE.lotNotTold}</span>
      <button
        class="act small"
        type="button"
        disabled={person === ''}
        onclick={() => (asking = !asking)}>{told ? 'Change lot' : DRIVE.tellIt}</button
      >
    </p>
    {#if asking}
      <div class="ask">
        {#each bins as lot (lot)}
          <button class="act small" type="button" onclick={() => load(lot)}>{lot}</button>
        {/each}
        <label for={id} class="label">{DRIVE.lotAsOnTheBag}</label>
        <input
          {id}
          class="field-box"
          maxlength={MOST}
          autocomplete="off"
          bind:value={typed}
          onkeydown={(event) => {
            if (event.key === 'Enter') load(typed);
          }}
        />
        <button class="act" type="button" disabled={typed.trim() === ''} onclick={() => load(typed)}
          >{DRIVE.fromThisLotOn}</button
        >
      </div>
    {/if}
  </div>
{/if}

<style>
  p {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
    color: var(--olive-deep);
    font-weight: 600;
  }
  .ask {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: center;
  }
  .ask input {
    flex: 1 1 120px;
    min-width: 0;
  }
</style>
