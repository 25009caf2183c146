<script lang="ts">
  import { READY } from '$lib/words/pages/prepare';
  import { cageOfStep } from '$core/prepare/cage/step-cage.ts';
  import type { ReadyStep } from '$core/prepare/step-list.ts';
  import type { StepCageLine } from '$lib/setting-view';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { settingChangesInWords } from '$lib/words/changes';
  import { taskAsQuery } from '$lib/setups-address';
  import { recheckInWords, settingInWords } from '$lib/words/cages';

  /** The cage of a countersinking step: how it is set, and when to look at it again. */
  interface Props {
    jointId: string;
    step: ReadyStep;
    /** settings for this joint, the latest first */
    settings: readonly StepCageLine[];
    /** ticked off so far */
    holes: number;
  }
  let { jointId, step, settings, holes }: Props = $props();
  const preferences = usePreferences();
  const cage = $derived(cageOfStep(settings, step, holes));
  const query = $derived(taskAsQuery({ jointId, key: step.key }));
</script>

<div class="cage" data-testid="step-cage">
  {#if cage.set}
    {@const { setting, status } = cage.set}
    <p>
      <strong>{settingInWords(cage.set)}.</strong>
      <span class:warns-strong={status.state !== 'good'}
        >{status.state === 'good' ? '' : status.state === 'due' ? '△ ' : '✕ '}{recheckInWords(
          status
        )}</span
      >
    </p>
    <a class="act" href="/setups/{setting.cageId}/{setting.id}">{READY.reCheck}</a>
    <a class="act" href="/setups{query}">Set up again</a>
  {:else}
    <p>
      {#if cage.outdated}△ The joint has changed since {cage.outdated.cage} was set for this step{cage
          .changes.length === 0
          ? ''
          : `: ${settingChangesInWords(cage.changes, preferences.inWords)}`}. Set up a stop
        countersink for the current joint.{:else}{READY.noCageIsSetFor}{/if}
    </p>
    {#if cage.begun}<a class="act main" href="/setups/{cage.begun.cageId}/{cage.begun.id}"
        >Continue with {cage.begun.cage}</a
      >{/if}
    <a class="act" class:main={!cage.begun} href="/setups{query}">{READY.setACage}</a>
  {/if}
</div>

<style>
  .cage {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
  }
  p {
    flex: 1 1 16rem;
  }
</style>
