<script lang="ts">
  import { onDestroy, onMount, untrack } from 'svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import TrialChart from '$lib/drawing/chart/TrialChart.svelte';
  import type { CageSettingView } from '$lib/setting-view';
  import { recheckInWords } from '$lib/words/cages';
  import Length from '../kit/Length.svelte';
  import Notice from '../kit/Notice.svelte';
  import SettingGuide from '../setting/SettingGuide.svelte';
  import { CageDesk } from './cage-desk.svelte';
  import GuideCard from './GuideCard.svelte';
  import SetCard from './SetCard.svelte';
  import TrialEntry from './TrialEntry.svelte';
  import TrialTable from './TrialTable.svelte';

  /** One setting of a cage. */
  interface Props {
    setting: CageSettingView;
    person: string;
  }
  let { setting, person }: Props = $props();
  const preferences = usePreferences();
  const desk = untrack(() => new CageDesk(setting, person));
  onMount(() => void desk.restore());
  onDestroy(() => desk.stop());
  const day = new Intl.DateTimeFormat('en', { dateStyle: 'long' });
  const { setup, offered } = $derived(setting);
  const guide = $derived(desk.guide.ok ? desk.guide.result : null);
  const refusedNest = $derived(guide?.nest && !guide.nest.ok ? guide.nest.error.said : null);
  const isBad = $derived(desk.rechecks.state === 'too-deep' || desk.rechecks.state === 'proud');
</script>

{#if guide}
  <SettingGuide
    {desk}
    bad={isBad ? recheckInWords(desk.rechecks) : null}
    had={offered && {
      title: `Flush at ${offered.clicks} clicks last time`,
      text: `${day.format(new Date(offered.at))}, ${offered.by}. Count from the same reference mark, and verify on scrap.`
    }}
    keep={guide.said.state === 'set'
      ? {
          text: `Save setting: flush ${guide.nextClicks}${guide.nest?.ok ? `, nested ${guide.nest.result.clicks}` : ''}`,
          ready: refusedNest === null,
          onkeep: () => desk.add({ kind: 'finished', afterHoles: setting.holesCut ?? 0 })
        }
      : null}
  >
    {#snippet crumbs()}
      <a class="back" href="/setups">Stop countersinks</a> ›
      <a href="/setups/{setting.cageId}">{setting.cage.name}, {setting.cage.cutter}</a>
      {#if setting.jointId}› <a href="/joints/{setting.jointId}/prepare">{setting.work}</a>{/if}
    {/snippet}
    {#snippet about()}
      dash {setup.dash}
      {setup.seat === 'rivet' ? '' : 'with a dimpled scrap in the cut,'} in <Length
        lengthIn={setup.sheetIn}
        decimal
      />{#if setup.skinIn !== null}&nbsp;beneath a dimple of <Length
          lengthIn={setup.skinIn}
          decimal
        />{/if}, tried on <Length lengthIn={setup.couponIn} decimal />
      {setup.couponMaterial}{#if setup.filmIn > 0}&nbsp;· film of <Length
          lengthIn={setup.filmIn}
          decimal
        /> included{/if}
    {/snippet}
    {#snippet next()}<GuideCard {guide} />{/snippet}
    {#snippet chart()}
      <TrialChart {guide} readings={desk.state.trials} {setup} />
      <p class="hint key">
        ● manual · ◆ gauge · ✕ voided · ○ next · solid line: as measured, dashed: 0.001 in per click
        assumed
      </p>
    {/snippet}
    {#snippet unkept()}
      {#if guide.said.state === 'set' && refusedNest}
        <Notice
          level="stop"
          title="No nest in this sheet"
          text={preferences.refusal(refusedNest)}
        />
      {/if}
    {/snippet}
    {#snippet entry()}<TrialEntry {desk} {guide} />{/snippet}
    {#snippet set()}<SetCard {desk} />{/snippet}
    {#snippet trials()}<TrialTable {desk} {guide} />{/snippet}
  </SettingGuide>
{:else if !desk.guide.ok}
  <Notice
    level="stop"
    title="These limits cannot be met"
    text={preferences.refusal(desk.guide.error.said)}
  />
{/if}
