<script lang="ts">
  import type { HeadReading, HeadReport } from '$core/inspect/head-report.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { CHECK } from '$lib/words/pages/inspect';
  import Notice from '../../ui/kit/Notice.svelte';
  import type { InspectDesk } from './inspect-desk.svelte';
  import TypedVerdict from './TypedVerdict.svelte';

  /** What a head comes to as it is typed. The row is there before its result: nothing below it moves, and a reader hears it change. */
  interface Props {
    desk: InspectDesk;
    hole: number;
    /** by its figures; null where none are typed */
    live: { report: HeadReport; reading: HeadReading } | null;
  }
  let { desk, hole, live }: Props = $props();
  const preferences = usePreferences();
  const judged = $derived(desk.judgedFor(hole));
  const problems = $derived(desk.problemsFor(hole));
  const expired = $derived(desk.states.get(hole)?.expired ?? false);
</script>

<div class="result" aria-live="polite" data-testid="result-row">
  {#if expired && !desk.left.has(hole)}
    <Notice
      level="stop"
      title={CHECK.drivenAfterItsBatchExpired}
      text="Values within limits do not make it acceptable. Only a written disposition can leave the rivet in: refer it below."
    />
  {/if}
  {#if judged?.ok}
    <TypedVerdict {desk} {hole} {live} />
  {:else if live && !judged}
    <Notice
      level="attention"
      title="Incomplete"
      text="Enter the measuring uncertainty and the flushness."
    />
  {:else if judged && !problems.diameter && !problems.height}
    <Notice
      level="attention"
      title="Check the entries"
      text={preferences.refusal(judged.error.said)}
    />
  {:else}
    <p class="awaited hint">{CHECK.resultAppears[desk.way]}</p>
  {/if}
</div>

<style>
  .result {
    display: flex;
    flex-direction: column;
    gap: 10px;
    min-height: 76px;
  }
  .awaited {
    display: flex;
    align-items: center;
    min-height: 76px;
    padding: 8px 12px;
    border: 1.5px dashed var(--line-strong);
    border-radius: 10px;
  }
</style>
