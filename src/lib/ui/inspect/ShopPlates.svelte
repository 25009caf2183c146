<script lang="ts">
  import { dayInWords } from '$lib/words/when';
  import { CONNECTION } from '$lib/words/connection.ts';
  import { CHECK } from '$lib/words/pages/inspect';
  import { untrack } from 'svelte';
  import { plateDueInDays, type ShopPlate } from '$core/devices/shop-plate.ts';
  import { setPlatesAt } from '$lib/api/shop.ts';
  import { call } from '$lib/client/call';
  import Length from '$lib/ui/kit/Length.svelte';
  import Notice from '$lib/ui/kit/Notice.svelte';
  import TextField from '$lib/ui/kit/TextField.svelte';

  /** The shop's own plates: which are measured, when they are due, and the one on this page to be kept among them. */
  interface Props {
    plates: readonly ShopPlate[];
    /** what was measured on the plate of this page; empty until all of it is good */
    sizes: ShopPlate['sizes'];
    /** nobody is at the bench */
    nobody: boolean;
  }
  let { plates, sizes, nobody }: Props = $props();
  let stored = $state.raw(untrack(() => [...plates]));
  let name = $state('');
  let days = $state('180');
  let refusal = $state('');
  const dueAfterDays = $derived(Number(days));
  const ready = $derived(
    sizes.length > 0 && name.trim() !== '' && Number.isInteger(dueAfterDays) && dueAfterDays > 0
  );

  async function put(next: ShopPlate[]): Promise<boolean> {
    refusal = '';
    const reply = await call(setPlatesAt, undefined, { was: stored, now: next });
    if (!reply.reached) refusal = CONNECTION.offlineKept;
    else if (!reply.ok) refusal = reply.message;
    else {
      stored = reply.value.plates;
      return true;
    }
    return false;
  }
  async function keep(): Promise<void> {
    const plate: ShopPlate = {
      id: crypto.randomUUID(),
      name: name.trim(),
      measuredAt: new Date().toISOString(),
      dueAfterDays,
      sizes: [...sizes]
    };
    // measured again under its name, it takes the place of what it was
    const others = stored.filter((one) => one.name !== plate.name);
    if (await put([...others, plate])) name = '';
  }
  const due = (plate: ShopPlate) => plateDueInDays(plate, Date.now());
</script>

<section class="boxed-wide" aria-labelledby="plates" data-testid="shop-plates">
  <h2 id="plates" class="label">Gauge plates</h2>
  {#each stored as plate (plate.id)}
    {@const left = due(plate)}
    <div class="plate" data-plate={plate.name}>
      <p>
        <strong>{plate.name}</strong>, measured {dayInWords(plate.measuredAt)}:
        <span class:fails-strong={left < 0}
          >{left < 0
            ? `✕ re-measure overdue by ${-left} days`
            : `✓ re-measure in ${left} days`}</span
        >
      </p>
      <ul>
        {#each plate.sizes as { dash, headHoleIn, notchIn, upperHoleIn, upperNotchIn } (dash)}
          <li>
            -{dash}: lower hole <Length lengthIn={headHoleIn} decimal />, lower notch <Length
              lengthIn={notchIn}
              decimal
            />{#if upperHoleIn !== null}, upper hole <Length
                lengthIn={upperHoleIn}
                decimal
              />{/if}{#if upperNotchIn !== null}, upper notch <Length
                lengthIn={upperNotchIn}
                decimal
              />{/if}
          </li>
        {/each}
      </ul>
      <button
        class="act"
        type="button"
        disabled={nobody}
        onclick={() => void put(stored.filter(({ id }) => id !== plate.id))}>Remove</button
      >
    </div>
  {:else}
    <p class="hint">
      None yet. Save a plate once every hole and notch is within limits; Inspect uses it.
    </p>
  {/each}
  {#if sizes.length > 0}
    <form
      onsubmit={(event) => {
        event.preventDefault();
        if (ready && !nobody) void keep();
      }}
    >
      <TextField
        name="plate"
        label={CHECK.nameWrittenOnIt}
        bind:value={name}
        maxlength={60}
        hint="Same name: replaces the old measurement"
      />
      <TextField
        name="days"
        label="Re-measure interval, days"
        bind:value={days}
        inputmode="numeric"
      />
      <button class="act main" disabled={!ready || nobody}
        >{nobody ? CONNECTION.signInFirst : CHECK.keepItAsTheShops}</button
      >
    </form>
  {/if}
  {#if refusal}<Notice level="stop" title="Not saved" text={refusal} />{/if}
</section>

<style>
  .plate {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 2px 12px;
    padding-block: 6px;
    border-bottom: 1px solid var(--line);
  }
  .plate ul {
    grid-column: 1;
    font-variant-numeric: tabular-nums;
  }
  .plate button {
    grid-column: 2;
    grid-row: 1 / span 2;
    align-self: center;
  }
  form {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 10px 16px;
    padding-top: 10px;
  }
</style>
