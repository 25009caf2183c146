<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { RECORDS } from '$lib/words/pages/records';
  import type { ComponentProps, Snippet } from 'svelte';
  import { page } from '$app/state';
  import type { RivetWish } from '$lib/api/records-wish.ts';
  import SubNav from '../kit/SubNav.svelte';
  import Notice from '../kit/Notice.svelte';
  import AskForm from './AskForm.svelte';

  /** A page of the records: what is asked at the left, what was found beside it. */
  interface Props {
    wish: RivetWish;
    problems: readonly string[];
    people: readonly { id: string; name: string }[];
    jobs: readonly { id: string; number: string; title: string }[];
    offers: ComponentProps<typeof AskForm>['offers'];
    children: Snippet;
  }
  let { wish, problems, people, jobs, offers, children }: Props = $props();
  const VIEWS = [
    { path: '/records', text: COMMON.rivets },
    { path: '/records/releases', text: RECORDS.releases },
    { path: '/records/trend', text: RECORDS.findingsByWeek }
  ];
  const here = $derived(page.url.pathname);
  /** what is asked goes along from view to view, a place in a list does not */
  const asked = $derived.by(() => {
    const params = [...page.url.searchParams].filter(
      ([key, value]) => !['after', 'before', 'page'].includes(key) && value !== ''
    );
    return params.length === 0 ? '' : `?${new URLSearchParams(params).toString()}`;
  });
</script>

<div class="page">
  <header>
    <h1>Records</h1>
    <SubNav
      label="Views of the records"
      links={[
        ...VIEWS.map(({ path, text }) => ({ href: path + asked, text, here: here === path })),
        { href: '/records/grading', text: 'Grading', here: false }
      ]}
    />
  </header>
  <div class="halves">
    {#key page.url.search}<AskForm
        {wish}
        typed={page.url.searchParams}
        {people}
        {jobs}
        {offers}
        action={here}
      />{/key}
    <section class="rows-wide" aria-label="What was found" aria-live="polite">
      {#each problems as problem (problem)}
        <Notice level="attention" title="Search failed" text={problem} />
      {/each}
      {@render children()}
    </section>
  </div>
</div>

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 8px 12px;
  }
  /* what is asked above, so that what was found has the whole width: one line a rivet */
  .halves {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 12px;
  }
</style>
