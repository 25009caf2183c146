<script lang="ts">
  import { looksAsked } from '$core/inspect/findings.ts';
  import { comesTo } from '$core/inspect/hole-events.ts';
  import type { HeadReading, HeadReport } from '$core/inspect/head-report.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { LOOKS } from '$lib/words/heads';
  import { lookInWords, standingInWords } from '$lib/words/looks';
  import { sentence } from '$lib/words/writing';
  import Tick from '../../ui/kit/Tick.svelte';
  import { NOT_SENT, type InspectDesk } from './inspect-desk.svelte';
  import DatumAsked from './DatumAsked.svelte';
  import MetalAsked from './MetalAsked.svelte';
  import DoNow from './DoNow.svelte';
  import HeadTaught from './HeadTaught.svelte';
  import VerdictCard from './VerdictCard.svelte';

  /** What a head comes to with the look that is typed, and what is asked before that is recorded. */
  interface Props {
    desk: InspectDesk;
    hole: number;
    /** by its figures; null where none are typed */
    live: { report: HeadReport; reading: HeadReading } | null;
  }
  let { desk, hole, live }: Props = $props();
  const preferences = usePreferences();
  const typed = $derived(desk.typedFor(hole));
  const judged = $derived(desk.judgedFor(hole));
  const expected = $derived(desk.expectedFor(hole));
  const datum = $derived(desk.datumAsked(hole));
  const metal = $derived(desk.metalAsked(hole));
  const now = $derived(desk.states.get(hole));
  const looks = $derived(judged?.ok ? looksAsked(judged.result) : ([] as const));
</script>

{#if judged?.ok && expected}
  {@const verdict = comesTo(expected.verdict, now?.expired ?? false, now?.askedInstead)}
  {@const own = expected.decisive.id === NOT_SENT}
  {#if metal !== null}
    <MetalAsked share={metal} onasread={() => desk.type(hole, { asRead: true })} />
  {/if}
  {#if datum}
    <DatumAsked
      asked={datum}
      onflat={() => desk.type(hole, { height: `${Number(datum.dimpleIn.toFixed(5))} in` })}
      ondimple={() => desk.type(hole, { fromDimple: true })}
    />
  {/if}
  <VerdictCard
    {verdict}
    reasons={[
      ...standingInWords(expected, own, preferences.inWords),
      ...lookInWords(judged.result, live?.report ?? null, preferences.inWords)
    ]}
    conditional={looks.length > 0 && verdict === 'accept'}
  />
  <DoNow {verdict} findings={expected.findings} seat={judged.result.seat} />
  {#if live}<HeadTaught {desk} {hole} report={live.report} reading={live.reading} />{/if}
  {#if looks.length > 0}
    <fieldset class="looks">
      <legend class="label">Confirm before recording</legend>
      {#each looks as look (look)}
        <label class="tick-line">
          <input
            type="checkbox"
            checked={typed.looked.includes(look)}
            onchange={(event) => desk.look(hole, look, event.currentTarget.checked)}
          />
          {sentence(LOOKS[look])}
        </label>
      {/each}
    </fieldset>
  {/if}
{/if}
{#if desk.asksDrivenOn(hole)}
  <Tick
    text="Driven further since the last inspection: earlier findings no longer count"
    bind:checked={() => typed.drivenOn, (drivenOn) => desk.type(hole, { drivenOn })}
  />
{/if}

<style>
  .looks {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 16px;
  }
  input {
    width: 24px;
    height: 24px;
    flex: none;
  }
</style>
