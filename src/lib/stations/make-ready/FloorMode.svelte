<script lang="ts">
  import type { Snippet } from 'svelte';
  import X from '@lucide/svelte/icons/x';

  /** The current step alone, as large as the tablet on the bench allows. */
  interface Props {
    title: string;
    at: number;
    of: number;
    onback: () => void;
    onnext: () => void;
    onclose: () => void;
    children: Snippet;
  }
  let { title, at, of, onback, onnext, onclose, children }: Props = $props();
  let dialog = $state<HTMLDialogElement>();
  $effect(() => dialog?.showModal());
</script>

<dialog bind:this={dialog} aria-label="Step by step: {title}" {onclose} data-testid="floor">
  <header>
    <p class="label">{title} · step {at} of {of}</p>
    <button class="act" type="button" onclick={onclose} aria-label="Close"><X size={28} /></button>
  </header>
  <div class="bar"><span style:width="{(100 * (at - 1)) / of}%"></span></div>
  <div class="step">{@render children()}</div>
  <footer>
    <button class="act" type="button" disabled={at <= 1} onclick={onback}>‹ Back</button>
    <button class="act" type="button" disabled={at >= of} onclick={onnext}>Next ›</button>
  </footer>
</dialog>

<style>
  dialog {
    display: grid;
    grid-template-rows: auto auto minmax(0, 1fr) auto;
    gap: 12px;
    width: 100vw;
    height: 100dvh;
    max-width: none;
    max-height: none;
    margin: 0;
    padding: 16px 24px;
    border: 0;
    background: var(--paper);
    color: var(--ink);
  }
  header,
  footer {
    display: flex;
    justify-content: space-between;
    gap: 12px;
  }
  footer .act {
    min-height: 72px;
    flex: 1;
    font-size: 1.4rem;
  }
  .bar {
    height: 10px;
    background: var(--bench);
    border-radius: 5px;
  }
  .bar span {
    display: block;
    height: 100%;
    background: var(--olive);
    border-radius: 5px;
  }
  .step {
    overflow-y: auto;
  }
</style>
