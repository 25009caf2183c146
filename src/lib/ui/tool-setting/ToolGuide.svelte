<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { onDestroy, onMount, untrack } from 'svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import SqueezeChart from '$lib/drawing/chart/SqueezeChart.svelte';
  import type { ToolSettingView } from '$lib/tool-setting-view';
  import {
    foundInWords,
    setupInWords,
    TOOL_WORDS,
    toolStatusInWords
  } from '$lib/words/tool-settings';
  import Arithmetic from '../kit/Arithmetic.svelte';
  import GuideFrame from '../kit/GuideFrame.svelte';
  import NextStep from '../kit/NextStep.svelte';
  import DriveCautions from '../kit/DriveCautions.svelte';
  import Notice from '../kit/Notice.svelte';
  import OutboxNotice from '../OutboxNotice.svelte';
  import DiesEntry from './DiesEntry.svelte';
  import GunEntry from './GunEntry.svelte';
  import MadeEntry from './MadeEntry.svelte';
  import NextCard from './NextCard.svelte';
  import SqueezeEntry from './SqueezeEntry.svelte';
  import ToolTrials from './ToolTrials.svelte';
  import { ToolDesk } from './tool-desk.svelte';

  /** One setting of a squeezer, a gun or dies, from the first trial to the last look. */
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
  const set = $derived(desk.state.found !== null);
  const done = $derived(
    guide.tool === 'dies'
      ? guide.guide.said.state === 'done'
      : guide.answer.ok && guide.answer.result.said.state === 'done'
  );
</script>

<GuideFrame label="Trials">
  {#snippet header()}
    <p class="label">
      <a class="back" href="/setups/driving">Squeezers, guns and dies</a> ›
      {TOOL_WORDS[setup.tool]}: {setup.name}
      {#if setting.jointId}› <a href="/joints/{setting.jointId}/drive">{setting.work}</a>{/if}
    </p>
    <p>{setupInWords(setup, preferences.inWords)}</p>
  {/snippet}
  {#snippet left()}
    {#if desk.state.withdrawn}
      <Notice level="stop" title="This setting was withdrawn" text={desk.state.withdrawn.why} />
    {:else if desk.status.state === 'bad'}
      <Notice
        level="stop"
        title={COMMON.setButNotToBe}
        text="One made at this setting was not good: begin another setting."
      />
    {:else if desk.state.found}
      <NextStep
        level={desk.status.state === 'released'
          ? 'good'
          : desk.status.state === 'look'
            ? 'attention'
            : 'go'}
        say="{toolStatusInWords(desk.status, preferences.inWords)}."
        why="{foundInWords(desk.state.found, setup)}: {desk.status.state === 'first'
          ? 'fresh rivets or dimples in scrap, each in one go, nothing turned in between.'
          : 'looked at again after a day, with another lot, at another grip.'}"
        work={guide.tool !== 'dies' && guide.answer.ok ? guide.answer.result.work : []}
        source="from the open side; released by the first three that are plainly good"
      />
    {:else}
      <NextCard {desk} />
    {/if}
    {#if offered && desk.state.trials.length === 0 && offered.from.state.found}
      <Notice
        level="attention"
        title="It was set like this before: {foundInWords(
          offered.from.state.found,
          offered.from.setup
        )}"
        text="{day.format(new Date(offered.from.state.found.at))}, {offered.from.state.found
          .by}, {setupInWords(offered.from.setup, preferences.inWords)}."
      />
      {#if offered.tool === 'squeezer' && offered.openedBy > 0}
        <Arithmetic work={offered.work} source="closed gap follows grip and head" />
      {/if}
    {/if}
    {#if guide.tool === 'squeezer' && guide.answer.ok}
      <SqueezeChart guide={guide.answer.result} trials={desk.state.trials} />
      <p class="hint key">
        ● caliper · ◆ plate, from the lowest to the highest it can be · ✕ struck · ○ next · solid
        line as measured, dashed while the thread says it
      </p>
    {/if}
    {#if setup.tool !== 'squeezer'}<ToolTrials {desk} />{/if}
    <DriveCautions />
  {/snippet}
  {#snippet side()}
    {#if desk.refusal !== null}
      <Notice level="stop" title="Not taken" text={preferences.refusal(desk.refusal)} />
    {/if}
    <OutboxNotice outbox={desk.outbox} what="the trials" />
    {#if set}
      <MadeEntry {desk} />
    {:else if !desk.state.withdrawn}
      {#if done}
        <button
          data-testid="keep-setting"
          class="act main keep"
          type="button"
          disabled={desk.outbox.waiting.length > 0}
          onclick={() => desk.add({ kind: 'kept' })}>Keep this setting; then the first three</button
        >
      {/if}
      {#if guide.tool === 'squeezer' && guide.answer.ok}
        <SqueezeEntry {desk} guide={guide.answer.result} setup={guide.setup} />
      {:else if guide.tool === 'gun' && guide.answer.ok}
        <GunEntry {desk} guide={guide.answer.result} />
      {:else if guide.tool === 'dies'}
        <DiesEntry {desk} guide={guide.guide} setup={guide.setup} />
      {/if}
    {/if}
    {#if setup.tool === 'squeezer'}<ToolTrials {desk} />{/if}
  {/snippet}
</GuideFrame>

<style>
  .keep {
    min-height: 60px;
    font-size: 1.1rem;
  }
</style>
