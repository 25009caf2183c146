<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { RECORDS } from '$lib/words/pages/records';
  import type { FoundRivet } from '$lib/api/found-rivet.ts';
  import type { RivetSort } from '$lib/api/records-wish.ts';
  import { FINDING_NAMES } from '$lib/words/heads';
  import VerdictMark from '../kit/VerdictMark.svelte';
  import { RESULT_NAMES } from '$lib/words/results.ts';

  /** Rivets that were found, one a line; sorted where they are kept. */
  interface Props {
    rivets: readonly FoundRivet[];
    sort: RivetSort;
    way: 'up' | 'down';
    /** the same search, sorted so */
    sorted: (sort: RivetSort, way: 'up' | 'down') => string;
  }
  let { rivets, sort, way, sorted }: Props = $props();
  const when = (at: string | null) =>
    at === null ? '–' : new Date(at).toLocaleString([], { dateStyle: 'short', timeStyle: 'short' });
  const names = (all: readonly string[]) => all.join(', ');
  const inD = (value: number | null) => (value === null ? '–' : `${value.toFixed(2)} D`);
</script>

{#snippet head(key: RivetSort, title: string)}
  <th
    class:words={key === 'at' || key === 'part'}
    aria-sort={sort === key ? (way === 'up' ? 'ascending' : 'descending') : 'none'}
  >
    <a href={sorted(key, sort === key && way === 'down' ? 'up' : 'down')}
      >{title}{sort === key ? (way === 'up' ? ' ▴' : ' ▾') : ''}</a
    >
  </th>
{/snippet}

<div class="scrolls-across">
  <table class="figures" aria-label={RECORDS.rivetsOnRecord}>
    <thead>
      <tr>
        <th class="words">Hole</th>
        <th class="words">Result</th>
        {@render head('diameter', COMMON.diameter)}
        {@render head('height', COMMON.height)}
        {@render head('part', 'Rivet')}
        <th class="words">{COMMON.lot}</th>
        {@render head('at', 'Driven')}
        <th class="words">Inspected</th>
      </tr>
    </thead>
    <tbody>
      {#each rivets as rivet (`${rivet.releaseId} ${rivet.hole} ${rivet.life}`)}
        <tr>
          <td class="words">
            <a class="hole" href="/records/{rivet.releaseId}/{rivet.hole}"
              ><strong>{rivet.joint}</strong>, hole {rivet.hole}</a
            >
            <span class="hint"
              >job {rivet.job}, release {rivet.release}{rivet.life > 0
                ? `, rivet ${rivet.life + 1} of this hole`
                : ''}{rivet.outAt === null ? '' : RECORDS.takenOutSince}</span
            >
          </td>
          <td class="words">
            {#if rivet.verdict !== null}
              <svg width="20" height="20" viewBox="-10 -10 20 20" aria-hidden="true"
                ><VerdictMark kind={rivet.verdict} radius={7} /></svg
              >
              {RESULT_NAMES[rivet.verdict]}
            {/if}
            <span class="hint">{rivet.findings.map((one) => FINDING_NAMES[one]).join(', ')}</span>
          </td>
          <td>{inD(rivet.diameterD)}</td>
          <td>{inD(rivet.heightD)}</td>
          <td class="words part">{rivet.partNumber}</td>
          <td class="words part"
            >{#if rivet.batch !== null}<a href="/records?batch={rivet.batch}"
                >{rivet.lot ?? 'batch'}</a
              >{:else if rivet.lot !== null}<a href="/records?lot={encodeURIComponent(rivet.lot)}"
                >{rivet.lot}</a
              >{:else}–{/if}</td
          >
          <td class="words"
            >{rivet.drivenAt === null ? 'not logged' : when(rivet.drivenAt)}
            <span class="hint">{names(rivet.drove)}</span>
            {#if rivet.setting !== null}<a class="tool" href="/records?setting={rivet.setting}"
                >{rivet.tool}</a
              >{/if}</td
          >
          <td class="words"
            >{rivet.lookedAt === null ? 'not inspected' : when(rivet.lookedAt)}
            <span class="hint">{names(rivet.looked)}</span>
            {#if rivet.sentBy.length > 0}<span class="hint">sent by {names(rivet.sentBy)}</span
              >{/if}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  /* one line a rivet */
  td.words,
  td {
    height: 44px;
    padding-block: 0;
    white-space: nowrap;
  }
  td .hint {
    margin-left: 6px;
  }
  .hole {
    display: inline-block;
    min-height: 24px;
    text-decoration: underline;
  }
  .part,
  .tool {
    white-space: nowrap;
  }
  .tool {
    margin-left: 6px;
    font-size: var(--small);
    text-decoration: underline;
  }
  th a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    font-weight: 600;
  }
  svg {
    display: inline;
    vertical-align: -5px;
  }
</style>
