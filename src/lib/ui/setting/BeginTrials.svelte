<script lang="ts">
  import { CONNECTION } from '$lib/words/connection.ts';
  import type { Snippet } from 'svelte';
  import { goto } from '$app/navigation';
  import type { Called } from '$lib/client/call';
  import { COMMON } from '$lib/words/pages/common';
  import Notice from '../kit/Notice.svelte';

  /** What the tool had before for the same work, and the button that begins a setting. */
  interface Props {
    /** nothing more is missing */
    ready: boolean;
    /** sent under this id, the same while it is sent again: a repeat is stored once */
    send: (id: string) => Promise<Called<string>>;
    /** it is stored; @returns its page */
    onbegun: (id: string) => string;
    offer?: Snippet | undefined;
  }
  let { ready, send, onbegun, offer }: Props = $props();
  const id = crypto.randomUUID();
  let refusal = $state('');
  async function begin(): Promise<void> {
    const reply = await send(id);
    if (reply.reached && reply.ok) await goto(onbegun(id));
    else refusal = reply.reached ? reply.message : CONNECTION.offlineKept;
  }
</script>

{#if offer}<div class="offer" data-testid="offer">{@render offer()}</div>{/if}
{#if refusal !== ''}<Notice level="stop" title="Not begun" text={refusal} />{/if}
<button class="act main begin" type="button" disabled={!ready} onclick={() => void begin()}
  >{COMMON.beginTheTrials}</button
>

<style>
  .offer {
    display: grid;
    gap: 2px;
    padding: 8px 12px;
    border-left: 5px solid var(--olive);
    border-radius: 8px;
    background: var(--olive-soft);
  }
  .begin {
    min-height: 56px;
    font-size: 1.1rem;
  }
</style>
