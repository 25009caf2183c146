<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { RefusalSaid } from '$core/refusal-said.ts';
  import type { Clocked } from '$lib/client/outbox.svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { COMMON } from '$lib/words/pages/common';
  import GuideFrame from '../kit/GuideFrame.svelte';
  import Notice from '../kit/Notice.svelte';
  import OutboxNotice from '../OutboxNotice.svelte';

  /** One setting of a tool, from the first trial to the last look at what it makes. */
  interface Props {
    desk: {
      state: { found: unknown; withdrawn: { why: string } | null; trials: readonly unknown[] };
      refusal: RefusalSaid | null;
      outbox: Clocked;
    };
    crumbs: Snippet;
    about: Snippet;
    /** it is set, and not to be used any more: why */
    bad: string | null;
    next: Snippet;
    /** what the tool had before for the same work */
    had: { title: string; text: string; below?: Snippet | undefined } | null;
    chart?: Snippet | undefined;
    /** the trials have found something; null while they have not, or it may not be kept */
    keep: { text: string; ready: boolean; onkeep: () => void } | null;
    /** what keeps it from being kept */
    unkept?: Snippet | undefined;
    entry: Snippet;
    /** once it is set */
    set: Snippet;
    trials: Snippet;
    below?: Snippet | undefined;
  }
  let {
    desk,
    crumbs,
    about,
    bad,
    next,
    had,
    chart,
    keep,
    unkept,
    entry,
    set,
    trials,
    below
  }: Props = $props();
  const preferences = usePreferences();
  const { withdrawn, found } = $derived(desk.state);
</script>

<GuideFrame label="Trials">
  {#snippet header()}
    <p class="label">{@render crumbs()}</p>
    <p>{@render about()}</p>
  {/snippet}
  {#snippet left()}
    {#if withdrawn}
      <Notice level="stop" title="This setting was withdrawn" text={withdrawn.why} />
    {:else if found !== null && bad !== null}
      <Notice level="stop" title={COMMON.setButNotToBe} text={bad} />
    {:else}
      {@render next()}
    {/if}
    {#if had && desk.state.trials.length === 0}
      <Notice level="attention" title={had.title} text={had.text} />
      {@render had.below?.()}
    {/if}
    {#if chart}{@render chart()}{:else}{@render trials()}{/if}
    {@render below?.()}
  {/snippet}
  {#snippet side()}
    {#if desk.refusal !== null}
      <Notice level="stop" title="Rejected" text={preferences.refusal(desk.refusal)} />
    {/if}
    <OutboxNotice outbox={desk.outbox} what="the tests" />
    {#if found !== null}
      {@render set()}
    {:else if !withdrawn}
      {@render unkept?.()}
      {#if keep}
        <button
          data-testid="keep-setting"
          class="act main keep"
          type="button"
          disabled={desk.outbox.waiting.length > 0 || !keep.ready}
          onclick={keep.onkeep}>{keep.text}</button
        >
      {/if}
      {@render entry()}
    {/if}
    {#if chart}{@render trials()}{/if}
  {/snippet}
</GuideFrame>

<style>
  .keep {
    min-height: 60px;
    font-size: 1.1rem;
  }
</style>
