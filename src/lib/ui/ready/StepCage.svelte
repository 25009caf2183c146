<script lang="ts">
  import { recheckStatus } from '$core/ready/cage/rechecks.ts';
  import type { ReadyStep } from '$core/ready/step-list.ts';
  import type { JointCageSetting } from '$lib/cage-view';
  import { taskAsQuery } from '$lib/setups-address';

  /** The cage of a countersinking step: how it is set, and when to look at it again. */
  interface Props {
    jointId: string;
    step: ReadyStep;
    /** settings for this step, the latest first */
    settings: readonly JointCageSetting[];
    /** ticked off so far */
    holes: number;
  }
  let { jointId, step, settings, holes }: Props = $props();
  const set = $derived(
    settings.find(({ state }) => state.found && !state.withdrawn && !state.practice)
  );
  const begun = $derived(settings.find(({ state }) => !state.found && !state.withdrawn));
  const found = $derived(set?.state.found ?? null);
  const status = $derived(set ? recheckStatus(set.setup, set.state, holes) : null);
  const query = $derived(taskAsQuery({ jointId, key: step.key }));
</script>

<div class="cage" data-testid="step-cage">
  {#if set && found && status}
    <p>
      <strong>{set.cage}</strong>: flush at <strong>{found.clicks}</strong> clicks{#if found.nest},
        nested at <strong>{found.nest.clicks}</strong>{/if}.
      <span class:bad={status.state !== 'good'}
        >{status.state === 'good' ? '' : status.state === 'due' ? '△ ' : '✕ '}{status.say}</span
      >
    </p>
    <a class="act" href="/setups/{set.cageId}/{set.id}">Re-check</a>
    <a class="act" href="/setups{query}">Set anew</a>
  {:else}
    <p>△ No cage is set for this step yet.</p>
    {#if begun}<a class="act main" href="/setups/{begun.cageId}/{begun.id}"
        >Go on with {begun.cage}</a
      >{/if}
    <a class="act" class:main={!begun} href="/setups{query}">Set a cage</a>
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
  .bad {
    color: var(--amber);
    font-weight: 700;
  }
</style>
