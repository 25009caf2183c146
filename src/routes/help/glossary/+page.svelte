<script lang="ts">
  import TermDrawing from '$lib/drawing/help/TermDrawing.svelte';
  import { TERM_PICTURES } from '$lib/drawing/help/term-pictures';
  import { HELP } from '$lib/words/pages/help';
  import { termAnchor } from '$lib/words/term-of';
  import { TERMS } from '$lib/words/terms';

  let wanted = $state('');
  const found = $derived(
    TERMS.filter(({ term, is }) =>
      `${term} ${is}`.toLowerCase().includes(wanted.trim().toLowerCase())
    )
  );
</script>

<svelte:head><title>{HELP.glossary} · Zanjador</title></svelte:head>

<div class="page">
  <h1>{HELP.glossary}</h1>
  <p>{HELP.onePerConcept}</p>
  <label class="ask">
    <span class="label">{HELP.findTerm}</span>
    <input class="field-box" type="search" autocomplete="off" maxlength="40" bind:value={wanted} />
  </label>
  <p class="sr-only" role="status">{found.length} of {TERMS.length} terms</p>
  <dl class="boxed-wide">
    {#each found as { term, is } (term)}
      <div id={termAnchor(term)}>
        <dt>{term}</dt>
        <dd>
          {is}
          {#if TERM_PICTURES[term]}<TermDrawing {term} picture={TERM_PICTURES[term]} />{/if}
        </dd>
      </div>
    {:else}
      <p>{HELP.noMatch}</p>
    {/each}
  </dl>
</div>

<style>
  .ask {
    display: block;
    max-width: 24rem;
  }
  dl > div {
    display: grid;
    grid-template-columns: minmax(9rem, 14rem) 1fr;
    gap: 0.25rem 1rem;
    padding: 0.5rem 0;
    border-bottom: 1px solid var(--line);
  }
  dl > div:target {
    background: var(--olive-soft);
  }
  dd :global(svg) {
    display: block;
    max-width: 100%;
    margin-top: 6px;
  }
  dt {
    font-weight: 700;
  }
  @media (width < 480px) {
    dl > div {
      grid-template-columns: 1fr;
    }
  }
</style>
