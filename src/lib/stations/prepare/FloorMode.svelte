<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import type { Snippet } from 'svelte';
  import ColdLines from '../../ui/cold/ColdLines.svelte';
  import Progress from '../../ui/kit/Progress.svelte';
  import WholeScreen from '../../ui/kit/WholeScreen.svelte';
  import X from '@lucide/svelte/icons/x';

  /** The current step alone, as large as the tablet on the bench allows: the plan beside it, its caution and ticks pinned. */
  interface Props {
    title: string;
    at: number;
    of: number;
    onback: () => void;
    onnext: () => void;
    onclose: () => void;
    plan: Snippet;
    acts: Snippet;
    children: Snippet;
  }
  let { title, at, of, onback, onnext, onclose, plan, acts, children }: Props = $props();
</script>

<WholeScreen label="Step by step: {title}" testid="floor" {onclose}>
  <ColdLines />
  <div class="floor">
    <header>
      <button class="act" type="button" disabled={at <= 1} onclick={onback}>{COMMON.back2}</button>
      <div class="where">
        <p class="label">{title} · step {at} of {of}</p>
        <Progress label="Steps done" value={at - 1} max={of} />
      </div>
      <button class="act" type="button" disabled={at >= of} onclick={onnext}>Next ›</button>
      <button class="act" type="button" onclick={onclose} aria-label={COMMON.close}
        ><X size={28} /></button
      >
    </header>
    <div class="plan">{@render plan()}</div>
    <div class="step">{@render children()}</div>
    <footer>{@render acts()}</footer>
  </div>
</WholeScreen>

<style>
  .floor {
    display: grid;
    grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
    grid-template-rows: auto minmax(0, 1fr) auto;
    gap: min(12px, 1.5vh) 16px;
    height: 100%;
    min-height: 0;
    padding: min(14px, 1.6vh) 18px;
  }
  header,
  footer {
    grid-column: 1 / -1;
  }
  header {
    display: flex;
    align-items: center;
    gap: 12px;
  }
  .where {
    flex: 1;
    min-width: 0;
  }
  .where p {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .plan {
    min-height: 0;
  }
  .step {
    container-type: size;
    min-height: 0;
    overflow-y: auto;
  }
  footer {
    padding-top: 6px;
    border-top: 1.5px solid var(--line);
    max-height: 45vh;
    overflow-y: auto;
  }
  @media (orientation: portrait) {
    .floor {
      grid-template-columns: minmax(0, 1fr);
      grid-template-rows: auto minmax(0, 0.8fr) minmax(0, 1fr) auto;
    }
  }
</style>
