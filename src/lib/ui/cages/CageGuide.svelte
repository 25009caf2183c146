<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { onDestroy, onMount, untrack } from 'svelte';
  import type { SettingView } from '$lib/cage-view';
  import { CageDesk } from '$lib/ui/cages/cage-desk.svelte';
  import TrialChart from '$lib/drawing/chart/TrialChart.svelte';
  import GuideFrame from '../kit/GuideFrame.svelte';
  import Length from '../kit/Length.svelte';
  import OutboxNotice from '../OutboxNotice.svelte';
  import Notice from '../kit/Notice.svelte';
  import GuideCard from './GuideCard.svelte';
  import SetCard from './SetCard.svelte';
  import TrialEntry from './TrialEntry.svelte';
  import TrialTable from './TrialTable.svelte';
  import { recheckInWords } from '$lib/words/cages';

  /** One setting of a cage, from the first trial hole to the last re-check. */
  interface Props {
    setting: SettingView;
    person: string;
  }
  let { setting, person }: Props = $props();
  const preferences = usePreferences();
  const desk = untrack(() => new CageDesk(setting, person));
  onMount(() => void desk.restore());
  onDestroy(() => desk.stop());
  const day = new Intl.DateTimeFormat('en', { dateStyle: 'long' });
  const guide = $derived(desk.guide.ok ? desk.guide.result : null);
  const set = $derived(desk.state.found !== null);
</script>

{#if guide}
  <GuideFrame label="Trials">
    {#snippet header()}
      <p class="label">
        <a class="back" href="/setups">Countersink cages</a> ›
        <a href="/setups/{setting.cageId}">{setting.cage.name}, {setting.cage.cutter}</a>
        {#if setting.jointId}› <a href="/joints/{setting.jointId}/make-ready">{setting.work}</a
          >{/if}
      </p>
      <p>
        dash {setting.setup.dash}
        {setting.setup.seat === 'rivet' ? '' : 'with a dimpled scrap in the cut,'} in <Length
          lengthIn={setting.setup.sheetIn}
          decimal
        />{#if setting.setup.skinIn !== null}&nbsp;beneath a dimple of <Length
            lengthIn={setting.setup.skinIn}
            decimal
          />{/if}, tried on <Length lengthIn={setting.setup.couponIn} decimal />
        {setting.setup.couponMaterial}{#if setting.setup.filmIn > 0}&nbsp;· film of <Length
            lengthIn={setting.setup.filmIn}
            decimal
          /> reckoned with{/if}
      </p>
    {/snippet}
    {#snippet left()}
      {#if desk.state.withdrawn}
        <Notice level="stop" title="This setting was withdrawn" text={desk.state.withdrawn.why} />
      {:else if set && (desk.rechecks.state === 'too-deep' || desk.rechecks.state === 'proud')}
        <Notice level="stop" title={COMMON.setButNotToBe} text={recheckInWords(desk.rechecks)} />
      {:else}
        <GuideCard {guide} />
      {/if}
      {#if setting.offered && desk.state.readings.length === 0}
        <Notice
          level="attention"
          title="Flush at {setting.offered.clicks} clicks last time"
          text="{day.format(new Date(setting.offered.at))}, {setting.offered
            .by}. Count from the same mark on the cage as then, and re-check it on scrap before you trust it."
        />
      {/if}
      <TrialChart {guide} readings={desk.state.readings} setup={setting.setup} />
      <p class="hint key">
        ● typed · ◆ from a gauge · ✕ struck · ○ next · solid line as measured, dashed while a click
        is taken as 0.001 in
      </p>
    {/snippet}
    {#snippet side()}
      {#if desk.refusal !== null}
        <Notice level="stop" title="Not taken" text={preferences.refusal(desk.refusal)} />
      {/if}
      <OutboxNotice outbox={desk.outbox} what="the trials" />
      {#if set}
        <SetCard {desk} />
      {:else}
        {#if guide.said.state === 'set'}
          {#if guide.nest && !guide.nest.ok}
            <Notice
              level="stop"
              title="No nest in this sheet"
              text={preferences.refusal(guide.nest.error.said)}
            />
          {/if}
          <button
            data-testid="keep-setting"
            class="act main finish"
            type="button"
            disabled={desk.outbox.waiting.length > 0 || guide.nest?.ok === false}
            onclick={() => desk.add({ kind: 'finished', afterHoles: setting.holesCut ?? 0 })}
            >Keep this setting: flush at {guide.nextClicks}{guide.nest?.ok
              ? `, nested at ${guide.nest.result.clicks}`
              : ''}</button
          >
        {/if}
        <TrialEntry {desk} {guide} />
      {/if}
      <TrialTable {desk} {guide} />
    {/snippet}
  </GuideFrame>
{:else if !desk.guide.ok}
  <Notice
    level="stop"
    title="These limits cannot be kept"
    text={preferences.refusal(desk.guide.error.said)}
  />
{/if}

<style>
  .finish {
    min-height: 60px;
    font-size: 1.1rem;
  }
</style>
