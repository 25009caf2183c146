<script lang="ts">
  import TermText from '$lib/ui/kit/TermText.svelte';
  import { dayInWords } from '$lib/words/when';
  import { RECORDS } from '$lib/words/pages/records';
  import { COMMON } from '$lib/words/pages/common';
  import { page } from '$app/state';
  import RecordsPage from '$lib/ui/records/RecordsPage.svelte';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  function onPage(number: number): string {
    const kept = [...page.url.searchParams].filter(
      ([key, value]) => value !== '' && key !== 'page'
    );
    return `?${new URLSearchParams([...kept, ['page', String(number)]]).toString()}`;
  }
</script>

<svelte:head><title>Releases on record · Zanjador</title></svelte:head>

<RecordsPage {...data}>
  <div class="scrolls-across">
    <table class="figures" aria-label={RECORDS.releases}>
      <thead>
        <tr>
          <th class="words"><TermText text="Release" /></th>
          <th class="words">Released</th>
          <th class="words">Signed</th>
          <th>Matching rivets</th>
          <th class="words">Record</th>
        </tr>
      </thead>
      <tbody>
        {#each data.found.releases as one (one.releaseId)}
          <tr>
            <td class="words">
              <a class="back" href="/joints/{one.jointId}/sign"
                ><strong>{one.joint}</strong>, release {one.release}</a
              >
              <span class="hint">job {one.job}{one.superseded ? '; superseded' : ''}</span>
            </td>
            <td class="words"
              >{dayInWords(one.issuedAt)} <span class="hint">{one.issuedBy}</span></td
            >
            <td class="words"
              >{#if one.signedAt !== null}✓ {dayInWords(one.signedAt)}
                <span class="hint">{one.signedBy}</span>{:else}not signed{/if}</td
            >
            <td>{one.rivets}</td>
            <td class="words"
              >{#if one.superseded}–{:else}<a
                  class="act small"
                  href="/api/joints/{one.jointId}/files/record.pdf">PDF</a
                >{/if}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  {#if data.found.releases.length === 0}
    <p>No matching releases.</p>
  {/if}
  <nav class="pages" aria-label="Pages">
    {#if data.page > 0}<a class="act" href={onPage(data.page - 1)}>{COMMON.back}</a>{/if}
    {#if data.found.next !== null}<a class="act" href={onPage(data.found.next)}>{RECORDS.next}</a
      >{/if}
  </nav>
</RecordsPage>

<style>
  td .hint {
    display: block;
  }
  .pages {
    display: flex;
    gap: 10px;
  }
</style>
