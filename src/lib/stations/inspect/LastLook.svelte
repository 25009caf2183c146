<script lang="ts">
  import { isDrivenSince, verdictNow, type HoleState } from '$core/inspect/hole-events.ts';
  import type { HeadReport } from '$core/inspect/head-report.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import DoNow from './DoNow.svelte';
  import VerdictCard from './VerdictCard.svelte';
  import { lookInWords, standingInWords } from '$lib/words/looks';

  /** What the rivet in a hole comes to by its whole inspection, and what now. */
  interface Props {
    now: HoleState;
    recorded: { report: HeadReport } | null;
  }
  let { now, recorded }: Props = $props();
  const preferences = usePreferences();
  const verdict = $derived(verdictNow(now));
  const decisive = $derived(now.standing?.decisive ?? now.last);
  const findings = $derived(now.standing?.findings ?? decisive?.frozen.findings ?? []);
  const conditional = $derived(verdict === 'accept' && findings.includes('too-long'));
</script>

{#if verdict !== null && decisive}
  <section class="last" data-testid="last-reading">
    <h3 class="label">Recorded</h3>
    <VerdictCard
      {verdict}
      reasons={[
        ...(now.loggedAfter
          ? ['Inspected before its driving was logged: inspect again']
          : isDrivenSince(now)
            ? ['Driven further since: inspect again']
            : []),
        ...(now.standing ? standingInWords(now.standing, true, preferences.inWords) : []),
        ...lookInWords(decisive.frozen, recorded?.report ?? null, preferences.inWords)
      ]}
      {conditional}
    />
    <DoNow {verdict} {findings} seat={decisive.frozen.seat} />
  </section>
{/if}

<style>
  .last {
    display: flex;
    flex-direction: column;
    gap: 8px;
  }
</style>
