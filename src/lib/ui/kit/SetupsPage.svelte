<script lang="ts">
  import type { Snippet } from 'svelte';
  import SetupsNav from './SetupsNav.svelte';

  /** A page of Setups: what there is at the left, a form for another one at the right. */
  interface Props {
    here: 'cages' | 'driving';
    title: string;
    /** the work that one came for */
    work?: Snippet | undefined;
    list: Snippet;
    aside: Snippet;
  }
  let { here, title, work, list, aside }: Props = $props();
</script>

<div class="page">
  <SetupsNav {here} />
  <h1>{title}</h1>
  {#if work}<p class="for" data-testid="task">{@render work()}</p>{/if}
  <div class="halves">
    <div class="list">{@render list()}</div>
    <aside>{@render aside()}</aside>
  </div>
</div>

<style>
  .for {
    margin: 6px 0 10px;
    padding: 8px 12px;
    border-left: 5px solid var(--olive);
    background: var(--olive-soft);
    border-radius: 8px;
  }
  .halves {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(340px, 30%);
    gap: 18px;
    align-items: start;
    margin-top: 10px;
  }
  .list {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
  .list > :global(section),
  aside {
    padding: 12px 16px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--panel);
  }
  @media (max-width: 900px) {
    .halves {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
