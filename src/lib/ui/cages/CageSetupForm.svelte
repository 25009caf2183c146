<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import type { Cage } from '$core/prepare/cage/cage.ts';
  import { offerFor, type RememberedSetting } from '$core/prepare/cage/remembered.ts';
  import { mayBegin, setupChecks } from '$core/prepare/cage/setup-checks.ts';
  import { beginSettingAt } from '$lib/api/cages.ts';
  import { call } from '$lib/client/call';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { settingAddress } from '$lib/setups-address';
  import Length from '../kit/Length.svelte';
  import BeginTrials from '../setting/BeginTrials.svelte';
  import SetupFields from '../setting/SetupFields.svelte';
  import { FINAL_DRILLS, setupFilling, setupRows, type StepTask } from './cage-fields';
  import SetupChecks from './SetupChecks.svelte';

  /** What a cage is to be set for, held against the cage before the first hole. */
  interface Props {
    cageId: string;
    cage: Cage;
    remembered: readonly RememberedSetting[];
    /** the joint's own step, which fills most of it in */
    task: StepTask | null;
    recheckEvery: number;
  }
  let { cageId, cage, remembered, task, recheckEvery }: Props = $props();
  const preferences = usePreferences();
  const filling = untrack(() => setupFilling(cageId, task, recheckEvery));
  onMount(() => filling.restore());
  const { read } = $derived(filling);
  const checks = $derived(read.success ? setupChecks(cage, read.data) : null);
  const offer = $derived(read.success ? offerFor(read.data, remembered) : null);
  const day = new Intl.DateTimeFormat('en', { dateStyle: 'long' });
  function send(id: string) {
    const step = task ? { jointId: task.jointId, key: task.key, rests: task.rests } : null;
    // what is typed now, not what was when this was drawn
    const { data } = filling.read;
    if (!data) throw new Error('the form is not whole');
    return call(
      beginSettingAt,
      { cage: cageId },
      { id, setup: data, step, work: task?.work ?? '' }
    );
  }
  function begun(id: string): string {
    filling.forget();
    return settingAddress(cageId, id);
  }
</script>

{#snippet had()}
  {#if offer?.state.found}
    <strong>Last setting for this work: flush at {offer.state.found.clicks} clicks.</strong>
    <span
      >{day.format(new Date(offer.state.found.at))}, {offer.state.found.by}, on a coupon of <Length
        lengthIn={offer.setup.couponIn}
        decimal
      />
      {offer.setup.couponMaterial}. The guide starts there. Verify on scrap.</span
    >
  {/if}
{/snippet}
<div class="halves">
  <section aria-labelledby="for-what">
    <h2 id="for-what" class="label">For what</h2>
    <SetupFields
      rows={setupRows(filling.of, preferences.lengths)}
      {filling}
      onmeant={() => filling.type('thickMeant', 'yes')}
    />
    <datalist id="final-drills">
      {#each FINAL_DRILLS as { name, text } (name)}<option value={preferences.offered(text)}
          >{name}</option
        >{/each}
    </datalist>
  </section>
  <section aria-labelledby="before">
    <h2 id="before" class="label">Before the first hole</h2>
    {#if checks}
      <SetupChecks {checks} />
      <BeginTrials
        ready={mayBegin(checks)}
        {send}
        onbegun={begun}
        offer={offer?.state.found ? had : undefined}
      />
      {#if !mayBegin(checks)}<p class="hint">Fix items marked ✕ first.</p>{/if}
    {:else}
      <p class="hint">Enter coupon and backing thickness as measured, not nominal.</p>
    {/if}
  </section>
</div>

<style>
  .halves {
    display: grid;
    grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
    gap: 18px;
    align-items: start;
  }
  section {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 8px;
    padding: 12px 16px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--panel);
  }
  @media (max-width: 900px) {
    .halves {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
