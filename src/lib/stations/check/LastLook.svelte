<script lang="ts">
  import { comesTo, isMeasured, type HoleEvent } from '$core/check/hole-events.ts';
  import type { HeadReport } from '$core/check/head-report.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Length from '../../ui/kit/Length.svelte';
  import DoNow from './DoNow.svelte';
  import VerdictCard from './VerdictCard.svelte';
  import { LOOKS, PLACE_WORDS } from '$lib/words/heads';
  import { lookInWords } from '$lib/words/looks';

  /** The last look at the rivet that is in a hole: its verdict, what now, by whom and how. */
  interface Props {
    last: HoleEvent;
    /** its rivet was driven after its batch had expired */
    expired: boolean;
    recorded: { report: HeadReport } | null;
  }
  let { last, expired, recorded }: Props = $props();
  const preferences = usePreferences();
  const { frozen } = $derived(last);
  const verdict = $derived(comesTo(frozen.verdict, expired));
  const conditional = $derived(verdict === 'accept' && frozen.findings.includes('too-long'));
  const time = (at: string) =>
    new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
  const extras = $derived([
    ...(isMeasured(last) && last.how ? [`read by ${last.how}`] : []),
    ...(isMeasured(last) ? (last.looked ?? []).map((look) => LOOKS[look]) : []),
    ...((last.clean ?? []).length > 0
      ? [`clean: ${(last.clean ?? []).map((place) => PLACE_WORDS[place]).join(', ')}`]
      : []),
    ...(isMeasured(last) && last.simulated ? ['simulated: practice, not for the record'] : [])
  ]);
</script>

<section class="last" data-testid="last-reading">
  <h3 class="label">Recorded</h3>
  <VerdictCard
    {verdict}
    reasons={lookInWords(frozen, recorded?.report ?? null, preferences.inWords)}
    {conditional}
  />
  <DoNow {verdict} findings={frozen.findings} seat={frozen.seat} />
  <p>
    {#if isMeasured(last)}
      <Length lengthIn={last.diameterIn} decimal /> × <Length lengthIn={last.heightIn} decimal />
    {:else}{last.kind === 'gauged' ? `held against ${last.plate.name}` : 'by eye'}{/if}
    <span class="hint">by {last.by}, {time(last.at)}{extras.map((one) => `; ${one}`).join('')}</span
    >
  </p>
</section>

<style>
  .last {
    display: flex;
    flex-direction: column;
    gap: 8px;
  }
</style>
