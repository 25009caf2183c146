<script lang="ts">
  import { termAnchor, termOf } from '$lib/words/term-of.ts';

  /** A label; where it is a term of the glossary it is dotted, says what it means on a long look, and leads to its entry. */
  interface Props {
    text: string;
  }
  let { text }: Props = $props();
  const entry = $derived(termOf(text));
</script>

{#if entry}<a href="/help/glossary#{termAnchor(entry.term)}" data-hint={entry.is}>{text}</a
  >{:else}{text}{/if}

<style>
  a {
    color: inherit;
    text-decoration: underline dotted 1.5px;
    text-underline-offset: 3px;
  }
</style>
