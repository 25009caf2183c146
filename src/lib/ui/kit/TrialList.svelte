<script lang="ts" generics="T extends { id: string; struck: string | null }">
  import { KIT } from '$lib/words/pages/kit';
  import type { Snippet } from 'svelte';
  import ReasonForm from './ReasonForm.svelte';

  /** Trials of a setting one after another, with a way to strike a false one. */
  interface Props {
    title: string;
    /** what one of them is called */
    one: string;
    trials: readonly T[];
    /** heads of the columns between number and strike */
    heads: readonly { text: string; words?: boolean }[];
    cells: Snippet<[T]>;
    /** those that are pointed at, by their ids */
    doubted?: ReadonlySet<string>;
    /** they may still be struck */
    open: boolean;
    /** @returns whether it was taken */
    onstrike: (id: string, why: string) => boolean;
  }
  let { title, one, trials, heads, cells, doubted, open, onstrike }: Props = $props();
  const id = $props.id();
  let striking = $state<string | null>(null);
  function strike(why: string): boolean {
    const struck = striking !== null && onstrike(striking, why);
    if (struck) striking = null;
    return struck;
  }
</script>

<div>
  <h2 {id} class="label">{title}</h2>
  {#if trials.length === 0}
    <p class="hint">None yet.</p>
  {:else}
    <table class="figures" data-testid="trials">
      <thead
        ><tr
          ><th>{one}</th>{#each heads as { text, words } (text)}<th class:words>{text}</th
            >{/each}<th><span class="sr-only">Notes</span></th></tr
        ></thead
      >
      <tbody>
        {#each trials as trial, index (trial.id)}
          <tr class:struck={trial.struck !== null}>
            <th scope="row">{index + 1}{doubted?.has(trial.id) ? ' △' : ''}</th>
            {@render cells(trial)}
            <td class="strike"
              >{#if trial.struck === null && open}<button
                  class="act small"
                  type="button"
                  data-testid="strike-{index + 1}"
                  aria-label="Void {one.toLowerCase()} {index + 1}"
                  onclick={() => (striking = trial.id)}>Void</button
                >{/if}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
    {#if striking !== null}
      <ReasonForm
        name="why"
        label={KIT.whyIsItFalse}
        act={KIT.strikeIt}
        onreason={strike}
        onleave={() => (striking = null)}
      />
    {/if}
  {/if}
</div>

<style>
  .struck {
    color: var(--ink-soft);
    text-decoration: line-through;
  }
  .strike {
    padding: 2px 0;
  }
</style>
