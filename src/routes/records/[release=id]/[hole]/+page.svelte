<script lang="ts">
  import { whenInWords } from '$lib/words/when';
  import { PRACTICE_MARK } from '$lib/words/practice';
  import { COMMON } from '$lib/words/pages/common';
  import { RECORDS } from '$lib/words/pages/records';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Length from '$lib/ui/kit/Length.svelte';
  import VerdictMark from '$lib/ui/kit/VerdictMark.svelte';
  import { RESULT_NAMES } from '$lib/words/results.ts';
  import type { MarkKind } from '$lib/ui/marks/verdict-glyphs';
  import { verdictOfLook } from '$core/inspect/hole-look.ts';
  import { FINDING_NAMES } from '$lib/words/heads';
  import { lookSaid } from '$lib/words/looks';
  import {
    driveMoveInWords,
    lookReasons,
    readingInWords,
    reworkEventInWords,
    whoLogged
  } from '$lib/words/history';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const preferences = usePreferences();
  const length = (valueIn: number) => preferences.inWords(valueIn);
  const history = $derived(data.history);

  interface Entry {
    id: string;
    at: string;
    by: string;
    text: string;
    more: string;
    mark: MarkKind | null;
  }
  /** looks that were false, by their ids */
  const voided = $derived(
    new Map(
      history.rework.flatMap((event) =>
        event.kind === 'voided-look' ? [[event.look, event.why] as const] : []
      )
    )
  );
  /** everything that any log says of the hole, as it happened */
  const entries = $derived<Entry[]>(
    [
      ...history.driving.map((event): Entry => ({
        id: event.id,
        at: event.at,
        by: whoLogged(event),
        text: driveMoveInWords(event, event, (batch) => history.lots[batch] ?? null, length),
        more: '',
        mark: null
      })),
      ...history.heads.map((look): Entry => ({
        id: look.id,
        at: look.at,
        by: whoLogged(look),
        text: readingInWords(look, length),
        more: [lookSaid(look, look.frozen, voided), lookReasons(look, length)]
          .filter((words) => words !== '')
          .join(': '),
        mark: voided.has(look.id) ? null : verdictOfLook(look, look.frozen)
      })),
      ...history.rework.map((event): Entry => ({
        id: event.id,
        at: event.at,
        by: whoLogged(event),
        text: reworkEventInWords(event, event.frozen, length),
        more: '',
        mark: event.kind === 'out' ? 'out' : null
      }))
    ].sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
  );
  const inD = (value: number | null) => (value === null ? '–' : `${value.toFixed(2)} D`);
</script>

<svelte:head
  ><title>Hole {history.hole.number} of {history.joint.title} · Zanjador</title></svelte:head
>

<div class="page">
  <p class="hint"><a class="back" href="/records">Records</a> / job {history.joint.job}</p>
  <h1>Hole {history.hole.number} of {history.joint.title}, release {history.release.number}</h1>
  {#if history.practice}<p class="warns-strong">{PRACTICE_MARK}</p>{/if}
  <dl>
    <div>
      <dt>Row</dt>
      <dd>{history.hole.row}</dd>
    </div>
    <div>
      <dt>Distance from datum</dt>
      <dd><Length lengthIn={history.hole.markIn} /></dd>
    </div>
    <div>
      <dt>Rivet size</dt>
      <dd>
        dash {history.hole.dash}, <Length lengthIn={rivetSize(history.hole.dash).diameterIn} />
      </dd>
    </div>
    {#if history.hole.gripIn !== null}
      <div>
        <dt>{COMMON.grip}</dt>
        <dd><Length lengthIn={history.hole.gripIn} /></dd>
      </div>
    {/if}
    <div>
      <dt>Released</dt>
      <dd>{whenInWords(history.release.issuedAt)}, {history.release.issuedBy}</dd>
    </div>
    <div>
      <dt>Signed</dt>
      <dd>
        {history.signature
          ? `✓ ${whenInWords(history.signature.at)}, ${history.signature.by}`
          : 'not signed'}
      </dd>
    </div>
  </dl>
  {#if history.heldOpen !== ''}
    <p class="held">Open hole: no solid rivet. {history.heldOpen}</p>
  {/if}

  <section class="scrolls-across" aria-labelledby="rivets">
    <h2 id="rivets">Rivet history</h2>
    {#if history.rivets.length === 0}
      <p class="hint">None driven or inspected yet.</p>
    {:else}
      <table class="figures" aria-label={RECORDS.rivetsOfThisHole}>
        <thead>
          <tr>
            <th class="words">Rivet</th><th class="words">{COMMON.lot}</th><th class="words"
              >Driven</th
            >
            <th class="words">Tool’s setting</th><th>{COMMON.diameter}</th><th>{COMMON.height}</th>
            <th class="words">Last result</th><th class="words">{COMMON.found}</th>
            <th class="words">Removed</th>
          </tr>
        </thead>
        <tbody>
          {#each history.rivets as rivet (rivet.life)}
            <tr>
              <td class="words"><strong>{rivet.partNumber}</strong></td>
              <td class="words">{rivet.lot ?? 'not recorded'}</td>
              <td class="words"
                >{rivet.drivenAt === null ? 'not logged' : whenInWords(rivet.drivenAt)}</td
              >
              <td class="words"
                >{#if rivet.setting !== null}<a class="back" href="/setups/driving/{rivet.setting}"
                    >{rivet.tool}</a
                  >{:else}none on record{/if}</td
              >
              <td>{inD(rivet.diameterD)}</td>
              <td>{inD(rivet.heightD)}</td>
              <td class="words"
                >{rivet.verdict === null ? 'not inspected' : RESULT_NAMES[rivet.verdict]}</td
              >
              <td class="words">{rivet.findings.map((one) => FINDING_NAMES[one]).join(', ')}</td>
              <td class="words"
                >{rivet.outAt === null ? RECORDS.itIsIn : whenInWords(rivet.outAt)}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
  </section>

  <section class="scrolls-across" aria-labelledby="log">
    <h2 id="log">Event log</h2>
    <ol data-testid="history">
      {#each entries as entry (entry.id)}
        <li>
          <span class="when">{whenInWords(entry.at)}</span>
          <span class="sign" aria-hidden="true"
            >{#if entry.mark}<svg width="22" height="22" viewBox="-11 -11 22 22"
                ><VerdictMark kind={entry.mark} radius={8} /></svg
              >{/if}</span
          >
          <span class="what"
            >{entry.text}{#if entry.more !== ''}<span class="more">{entry.more}</span>{/if}
            <span class="hint">{entry.by}</span></span
          >
        </li>
      {:else}
        <li class="hint">No entries yet.</li>
      {/each}
    </ol>
  </section>

  {#if history.elsewhere.length > 0}
    <section class="scrolls-across" aria-labelledby="elsewhere">
      <h2 id="elsewhere">The same place in other releases</h2>
      {#each history.elsewhere as one (one.releaseId)}
        <a class="act" href="/records/{one.releaseId}/{one.hole}"
          >Release {one.release}, hole {one.hole}</a
        >
      {/each}
    </section>
  {/if}
  <p>
    <a class="act" href="/joints/{history.joint.id}/inspect">Open in Inspect</a>
    <a class="act" href="/records?joint={encodeURIComponent(history.joint.title)}"
      >All rivets of this joint</a
    >
  </p>
</div>

<style>
  h2 {
    margin-bottom: 6px;
  }
  dl {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 26px;
  }
  dt {
    font-size: var(--small);
    color: var(--ink-soft);
  }
  dd {
    margin: 0;
    font-weight: 700;
  }
  .held {
    padding: 10px 14px;
    border: 1.5px solid var(--amber-line);
    border-radius: 10px;
    background: var(--amber-soft);
  }
  ol {
    display: grid;
    gap: 2px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: grid;
    grid-template-columns: 170px 26px minmax(0, 1fr);
    gap: 10px;
    align-items: start;
    padding: 8px 10px;
    border-bottom: 1px solid var(--line);
  }
  .when {
    font-variant-numeric: tabular-nums;
  }
  .more,
  .what .hint {
    display: block;
  }
  @media (max-width: 600px) {
    li {
      grid-template-columns: 26px minmax(0, 1fr);
    }
    .when {
      grid-column: 1 / -1;
      color: var(--ink-soft);
      font-size: var(--small);
    }
  }
</style>
