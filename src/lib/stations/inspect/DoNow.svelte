<script lang="ts">
  import { CHECK } from '$lib/words/pages/inspect';
  import type { Finding, HeadVerdict } from '$core/inspect/findings.ts';
  import type { HeadSeat } from '$core/release/flush-at.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { reportInWords } from '$lib/words/heads';

  /** What is done now about a head. */
  interface Props {
    verdict: HeadVerdict;
    findings: Finding[];
    /** what a flush head lies in */
    seat: HeadSeat | null;
  }
  let { verdict, findings, seat }: Props = $props();
  const preferences = usePreferences();
  const steps = $derived(
    reportInWords({ reasons: [], findings }, preferences.inWords, verdict, seat).doNow
  );
</script>

<div class="now">
  <h3 class="label">{CHECK.doNow}</h3>
  {#each steps as step (step)}<p>{step}</p>{/each}
</div>

<style>
  .now {
    font-weight: 700;
  }
</style>
