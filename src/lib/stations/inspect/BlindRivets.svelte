<script lang="ts">
  import { untrack } from 'svelte';
  import { blindStanding } from '$core/reworking/blind-rivets.ts';
  import { BlindFinding } from '$core/reworking/rework-moves.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import {
    BLIND_FINDINGS,
    BLIND_STANDINGS,
    blindFoundInWords,
    blindInWords
  } from '$lib/words/blind-rivets';
  import { BLINDS } from '$lib/words/pages/blinds';
  import { whenInWords } from '$lib/words/when';
  import More from '../../ui/kit/More.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import ReasonForm from '../../ui/kit/ReasonForm.svelte';
  import TextField from '../../ui/kit/TextField.svelte';
  import Toggles from '../../ui/kit/Toggles.svelte';
  import { refusalInWords } from '$lib/words/refusals';
  import type { ReworkDesk } from './rework-desk.svelte';

  /** Blind rivets planned for open holes, or approved for a hole: put in, looked at from the face, taken out. */
  interface Props {
    rework: ReworkDesk;
    person: string;
    /** a signed release takes nothing more */
    signed: boolean;
  }
  let { rework, person, signed }: Props = $props();
  const preferences = usePreferences();
  const holes = $derived(
    rework.now.heldOpen.flatMap((hole) => {
      const { number, blind, gripIn } = hole;
      const now = rework.state.blinds.get(number);
      return blind
        ? [{ number, blind, gripIn, now, standing: blindStanding(now, rework.now.facts) }]
        : [];
    })
  );
  const good = $derived(holes.filter(({ standing }) => standing === 'good').length);
  /** what is done stays in sight until the page is opened again */
  const begins = untrack(() => good < holes.length);
  let found = $state<Record<number, BlindFinding[]>>({});
  const told = $derived(rework.refused ? refusalInWords(rework.refused, preferences.inWords) : '');

  function looked(hole: number, what: BlindFinding[]): void {
    if (rework.add({ kind: 'blind-looked', hole, found: what, note: '' })) found[hole] = [];
  }
  function putIn(hole: number): void {
    const typed = rework.fieldsOf(hole);
    if (rework.add({ kind: 'blind-in', hole, lot: typed.of('lot').trim() })) typed.clear('lot');
  }
</script>

{#if holes.length > 0}
  <More title="{BLINDS.blindRivets}: {good} of {holes.length} {BLINDS.inspected}" open={begins}>
    <div class="blinds" data-testid="blinds">
      <p class="hint">{BLINDS.inNoCount}</p>
      {#each holes as { number, blind, gripIn, now, standing } (number)}
        {@const typed = rework.fieldsOf(number)}
        <section class={standing} data-testid="blind {number}">
          <p>
            <strong>Hole {number}</strong>
            {blindInWords(blind, preferences.inWords)}{gripIn === null
              ? ''
              : `; stack-up ${preferences.inWords(gripIn)}`}
          </p>
          <p class="standing">{BLIND_STANDINGS[standing]}</p>
          {#if now}
            <p class="hint">
              Installed by {now.by}, {whenInWords(now.at)}{now.lot === ''
                ? `, ${BLINDS.lotNotTold}`
                : `, lot ${now.lot}`}
            </p>
            {#each now.looks as look (`${look.at} ${look.by}`)}
              <p class="hint">{look.by}, {whenInWords(look.at)}: {blindFoundInWords(look)}</p>
            {/each}
          {/if}
          {#if person && !signed}
            {#if !now}
              <form
                onsubmit={(event) => {
                  event.preventDefault();
                  putIn(number);
                }}
              >
                <TextField
                  name="lot-{number}"
                  label={BLINDS.lot}
                  maxlength={60}
                  bind:value={() => typed.of('lot'), (text) => typed.type('lot', text)}
                />
                <button class="act main">{BLINDS.putIn}</button>
              </form>
            {:else}
              <Toggles
                label="{BLINDS.whatIsWrong} {number}"
                value={found[number] ?? []}
                options={BlindFinding.options.map((value) => ({
                  value,
                  text: BLIND_FINDINGS[value]
                }))}
                onchange={(value) => (found[number] = value)}
              />
              <div class="acts">
                {#if (found[number] ?? []).length === 0}
                  <button class="act main" type="button" onclick={() => looked(number, [])}
                    >{BLINDS.nothingWrong}</button
                  >
                {:else}
                  <button
                    class="act main"
                    type="button"
                    onclick={() => looked(number, found[number] ?? [])}>{BLINDS.record}</button
                  >
                {/if}
              </div>
              <ReasonForm
                name="blind-out-{number}"
                label={BLINDS.whyOut}
                act={BLINDS.isOut}
                onreason={(why) => rework.add({ kind: 'blind-out', hole: number, why })}
              />
            {/if}
          {/if}
        </section>
      {/each}
      {#if told}<Notice level="attention" title={BLINDS.notTaken} text="{told}." />{/if}
      <p class="fails-strong">{BLINDS.caution}</p>
    </div>
  </More>
{/if}

<style>
  .blinds,
  section {
    display: flex;
    flex-direction: column;
    gap: 6px;
  }
  section {
    padding: 8px 12px;
    border: 1.5px solid var(--line-strong);
    border-radius: 8px;
    font-variant-numeric: tabular-nums;
  }
  .standing {
    font-weight: 700;
  }
  .bad .standing {
    color: var(--brick);
    font-weight: 700;
  }
  form {
    display: flex;
    flex-wrap: wrap;
    align-items: start;
    gap: 8px;
  }
  form .act {
    margin-top: 20px;
  }
</style>
