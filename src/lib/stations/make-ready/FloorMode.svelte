<script lang="ts">
  import type { Snippet } from 'svelte';
  import Progress from '../../ui/kit/Progress.svelte';
  import WholeScreen from '../../ui/kit/WholeScreen.svelte';
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
</script>

<WholeScreen label="Step by step: {title}" testid="floor" {onclose}>
  <div class="floor">
    <header>
      <p class="label">{title} · step {at} of {of}</p>
      <button class="act" type="button" onclick={onclose} aria-label="Close"><X size={28} /></button
      >
    </header>
    <Progress label="Steps done" value={at - 1} max={of} />
    <div class="step">{@render children()}</div>
    <footer>
      <button class="act" type="button" disabled={at <= 1} onclick={onback}>‹ Back</button>
      <button class="act" type="button" disabled={at >= of} onclick={onnext}>Next ›</button>
    </footer>
  </div>
</WholeScreen>

<style>
  .floor {
    display: grid;
    grid-template-rows: auto auto minmax(0, 1fr) auto;
    gap: 12px;
    min-height: 0;
    padding: 16px 24px;
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
  .step {
    overflow-y: auto;
  }
</style>
