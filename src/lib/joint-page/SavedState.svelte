<script lang="ts">
  import type { SaveState } from '$lib/client/autosave.svelte';

  interface Props {
    state: SaveState;
  }
  let { state }: Props = $props();
  const time = (at: string) =>
    new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
  const said = $derived.by(() => {
    switch (state.kind) {
      case 'saved':
        return { mark: '✓', text: `Saved ${time(state.at)}`, tone: 'good' };
      case 'typing':
      case 'saving':
        return { mark: '…', text: 'Saving', tone: 'busy' };
      case 'waiting':
        return { mark: '△', text: 'Not saved: offline', tone: 'warn' };
      case 'refused':
        return { mark: '△', text: `Not saved: ${state.message}`, tone: 'warn' };
      case 'stale':
        return { mark: '△', text: 'Edit conflict', tone: 'warn' };
    }
  });
</script>

<span
  class="saved {said.tone}"
  role="status"
  data-hint={state.kind === 'refused' ? state.message : undefined}
  data-save={state.kind}
>
  <span aria-hidden="true">{said.mark}</span>
  <span class="text">{said.text}</span>
</span>

<style>
  .saved {
    display: inline-flex;
    gap: 0.4rem;
    padding: 0.3rem 0.8rem;
    border-radius: 999px;
    white-space: nowrap;
    font-size: var(--small);
  }
  @media (max-width: 1150px) {
    .good .text,
    .busy .text {
      position: absolute;
      width: 1px;
      height: 1px;
      overflow: hidden;
      clip-path: inset(50%);
    }
  }
  .good {
    background: var(--olive-soft);
    color: var(--olive-deep);
  }
  .busy {
    background: var(--bench);
    color: var(--ink-soft);
  }
  .warn {
    background: var(--amber-soft);
    color: var(--amber);
  }
</style>
