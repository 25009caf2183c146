<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { STOCK } from '$lib/words/pages/stock';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { alloyFacts } from '$core/catalog/alloys.ts';
  import { partNumber } from '$core/stack/part-number.ts';
  import type { StockDesk } from '$lib/ui/stock/stock-desk.svelte';
  import TextField from '../kit/TextField.svelte';

  /** Rivets that came in. */
  interface Props {
    desk: StockDesk;
    ondone: (said: string) => void;
  }
  let { desk, ondone }: Props = $props();
  const preferences = usePreferences();
  let part = $state('');
  let lot = $state('');
  let place = $state('');
  let count = $state('');
  /** null: as its alloy is usually kept */
  let chosenCold = $state<boolean | null>(null);
  const read = $derived(part.trim() === '' ? null : partNumber({ text: part.slice(0, 60) }));
  const cold = $derived(
    chosenCold ?? (read?.ok === true && alloyFacts(read.result.alloy).cold !== null)
  );
  const number = $derived(Number(count.trim()));
  const ready = $derived(
    read?.ok === true && lot.trim() !== '' && Number.isInteger(number) && number > 0
  );
  async function receive(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (!read?.ok || !ready) return;
    const { canonical } = read.result;
    const stored = await desk.send([
      { kind: 'received', partNumber: canonical, lot, place, cold, count: number, note: '' }
    ]);
    if (!stored) return;
    ondone(`${number} × ${canonical} received`);
    part = lot = place = count = '';
    chosenCold = null;
  }
</script>

<form class="rows-within" onsubmit={receive} aria-labelledby="receive">
  <h2 id="receive" class="label">Receive</h2>
  <TextField
    name="part"
    label={COMMON.partNumber}
    maxlength={60}
    bind:value={part}
    hint={read?.ok ? read.result.canonical : ''}
    errors={read && !read.ok ? [preferences.refusal(read.error.said)] : undefined}
  />
  <div class="pair">
    <TextField name="lot" label={COMMON.lot} maxlength={40} bind:value={lot} />
    <TextField name="place" label="Bin or drawer" maxlength={40} bind:value={place} />
  </div>
  <div class="pair">
    <TextField
      name="count"
      label={STOCK.howMany}
      inputmode="numeric"
      bind:value={count}
      errors={count.trim() !== '' && !(Number.isInteger(number) && number > 0)
        ? ['a whole number from 1']
        : undefined}
    />
    <label class="cold"
      ><input
        type="checkbox"
        checked={cold}
        onchange={(event) => (chosenCold = event.currentTarget.checked)}
      />
      {STOCK.keptCold}</label
    >
  </div>
  <button class="act main" disabled={!ready || desk.sending}>{STOCK.receiveIntoStock}</button>
</form>

<style>
  .pair {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 8px;
  }
  .cold {
    display: flex;
    align-items: center;
    gap: 8px;
    padding-top: 20px;
  }
  .cold input {
    width: 24px;
    height: 24px;
  }
</style>
