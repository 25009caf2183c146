<script lang="ts">
  import type { Snippet } from 'svelte';
  import { whenInWords } from '$lib/words/when';
  import Notice from '../kit/Notice.svelte';
  import ReasonForm from '../kit/ReasonForm.svelte';

  /** A tool that is set: what to write on its tape, the looks at what it makes, and how to give it up. */
  interface Props {
    tape: string;
    marks: Snippet;
    /** under the marks */
    about: Snippet;
    /** over the looks */
    title: string;
    testid: string;
    /** whether it may be used now */
    status: { level: 'good' | 'plain' | 'attention' | 'stop'; text: string };
    /** every look so far */
    log: Snippet;
    /** one more look; none of a tool that is not to be used */
    look: Snippet | null;
    withdrawn: { why: string; by: string; at: string } | null;
    /** when one would withdraw it */
    hint: string;
    onwithdraw: (why: string) => boolean;
  }
  let { tape, marks, about, title, testid, status, log, look, withdrawn, hint, onwithdraw }: Props =
    $props();
</script>

<section class="tape rows" aria-labelledby="tape" data-testid="tape">
  <h2 id="tape" class="label">{tape}</h2>
  <p class="marks">{@render marks()}</p>
  {@render about()}
</section>
{#if withdrawn}
  <Notice
    level="stop"
    title="Withdrawn"
    text="{withdrawn.why}. {withdrawn.by}, {whenInWords(withdrawn.at)}"
  />
{/if}
<section class="rows" aria-labelledby="looks" data-testid={testid}>
  <h2 id="looks" class="label">{title}</h2>
  {#if withdrawn}{:else if status.level === 'good'}
    <p class="passes"><strong>✓ {status.text}</strong></p>
  {:else if status.level === 'plain'}
    <p>{status.text}</p>
  {:else}
    <Notice level={status.level} title={status.text} />
  {/if}
  {@render log()}
  {#if !withdrawn}{@render look?.()}{/if}
</section>
{#if !withdrawn}
  <ReasonForm
    name="withdraw"
    label="Reason for withdrawal"
    act="Withdraw it"
    {hint}
    onreason={onwithdraw}
  />
{/if}

<style>
  .tape {
    padding: 8px 14px;
    border: 2px dashed var(--line-strong);
    border-radius: 6px;
    background: var(--bench);
  }
  .marks {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 18px;
    font-size: 1.2rem;
  }
  .marks :global(.act) {
    margin-left: auto;
  }
  .marks :global(strong) {
    font-size: 1.8rem;
    font-variant-numeric: tabular-nums;
  }
</style>
