<script lang="ts">
  import { onDestroy, onMount, untrack } from 'svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import SqueezeChart from '$lib/drawing/chart/SqueezeChart.svelte';
  import type { ToolSettingView } from '$lib/setting-view';
  import { foundInWords, setupInWords, TOOL_WORDS } from '$lib/words/tool-settings';
  import Arithmetic from '../kit/Arithmetic.svelte';
  import DriveCautions from '../kit/DriveCautions.svelte';
  import SettingGuide from '../setting/SettingGuide.svelte';
  import DiesEntry from './DiesEntry.svelte';
  import GunEntry from './GunEntry.svelte';
  import NextCard from './NextCard.svelte';
  import SetTools from './SetTools.svelte';
  import SqueezeEntry from './SqueezeEntry.svelte';
  import ToolTrials from './ToolTrials.svelte';
  import { ToolDesk } from './tool-desk.svelte';

  /** One setting of a squeezer, a gun or dies. */
  interface Props {
    setting: ToolSettingView;
    person: string;
  }
  let { setting, person }: Props = $props();
  const preferences = usePreferences();
  const desk = untrack(() => new ToolDesk(setting, person));
  onMount(() => void desk.restore());
  onDestroy(() => desk.stop());
  const { setup, offered } = $derived(setting);
  const { guide } = $derived(desk);
  const day = new Intl.DateTimeFormat('en', { dateStyle: 'long' });
  const was = $derived(offered?.from.state.found ?? null);
  const done = $derived(
    guide.tool === 'dies'
      ? guide.guide.said.state === 'done'
      : guide.answer.ok && guide.answer.result.said.state === 'done'
  );
</script>

{#snippet opened()}
  {#if offered?.tool === 'squeezer' && offered.openedBy > 0}
    <Arithmetic work={offered.work} source="closed gap follows grip and head" />
  {/if}
{/snippet}
{#snippet squeezes()}
  {#if guide.tool === 'squeezer' && guide.answer.ok}
    <SqueezeChart guide={guide.answer.result} trials={desk.state.trials} />
    <p class="hint key">
      ● caliper · ◆ plate, minimum to maximum · ✕ voided · ○ next · solid line: as measured, dashed:
      thread assumed
    </p>
  {/if}
{/snippet}
<SettingGuide
  {desk}
  bad={desk.status.state === 'bad'
    ? 'A head made at this setting failed. Start a new setup.'
    : null}
  had={offered &&
    was && {
      title: `Last setting: ${foundInWords(was, offered.from.setup)}`,
      text: `${day.format(new Date(was.at))}, ${was.by}, ${setupInWords(offered.from.setup, preferences.inWords)}.`,
      below: opened
    }}
  chart={setup.tool === 'squeezer' ? squeezes : undefined}
  keep={done
    ? {
        text: 'Save setting, then drive three heads',
        ready: true,
        onkeep: () => desk.add({ kind: 'kept' })
      }
    : null}
>
  {#snippet crumbs()}
    <a class="back" href="/setups/driving">Squeezers, guns and dies</a> ›
    {TOOL_WORDS[setup.tool]}: {setup.name}
    {#if setting.jointId}› <a href="/joints/{setting.jointId}/drive">{setting.work}</a>{/if}
  {/snippet}
  {#snippet about()}{setupInWords(setup, preferences.inWords)}{/snippet}
  {#snippet next()}<NextCard {desk} />{/snippet}
  {#snippet entry()}
    {#if guide.tool === 'squeezer' && guide.answer.ok}
      <SqueezeEntry {desk} guide={guide.answer.result} setup={guide.setup} />
    {:else if guide.tool === 'gun' && guide.answer.ok}
      <GunEntry {desk} guide={guide.answer.result} />
    {:else if guide.tool === 'dies'}
      <DiesEntry {desk} guide={guide.guide} setup={guide.setup} />
    {/if}
  {/snippet}
  {#snippet set()}<SetTools {desk} />{/snippet}
  {#snippet trials()}<ToolTrials {desk} />{/snippet}
  {#snippet below()}<DriveCautions />{/snippet}
</SettingGuide>
