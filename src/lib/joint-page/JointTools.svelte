<script lang="ts">
  import { BENCH } from '$lib/words/pages/bench';
  import { COMMON } from '$lib/words/pages/common';
  import type { Snippet } from 'svelte';
  import Redo2 from '@lucide/svelte/icons/redo-2';
  import Undo2 from '@lucide/svelte/icons/undo-2';
  import type { LengthStyle } from '$core/units/format-length.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Choice from '../ui/kit/Choice.svelte';
  import Mark from '../ui/marks/Mark.svelte';

  /** Undo, units, arithmetic and keys of a joint; on small screens they lie behind one button. */
  interface Props {
    onkeys: () => void;
    /** where one may go from the joint */
    children: Snippet;
  }
  let { onkeys, children }: Props = $props();
  const workspace = useWorkspace();
  const preferences = usePreferences();
  let menuOpen = $state(false);

  const LENGTHS: { value: LengthStyle; text: string; title: string }[] = [
    { value: '1/32', text: '1/32', title: 'fractions to 1/32 in' },
    { value: '1/64', text: '1/64', title: 'fractions to 1/64 in' },
    { value: 'decimal', text: '.001', title: 'decimal inches' },
    { value: 'thou', text: 'thou', title: 'thousandths of an inch' },
    { value: 'mm', text: 'mm', title: 'millimeters' }
  ];
</script>

<button
  class="act small menu"
  type="button"
  aria-expanded={menuOpen}
  aria-controls="joint-tools"
  onclick={() => (menuOpen = !menuOpen)}>Menu</button
>
<div class="tools" id="joint-tools" class:open={menuOpen}>
  {@render children()}
  <div class="history">
    <button
      class="act small"
      type="button"
      disabled={!workspace.canUndo}
      onclick={() => workspace.undo()}
      data-testid="undo-edit"
      aria-label="Undo"
      data-hint="Undo (Ctrl Z)"><Undo2 size={18} /></button
    >
    <button
      class="act small"
      type="button"
      disabled={!workspace.canRedo}
      onclick={() => workspace.redo()}
      aria-label={BENCH.redo}
      data-hint="Redo (Ctrl Shift Z)"><Redo2 size={18} /></button
    >
  </div>
  <Choice
    label="Lengths in"
    quiet
    value={preferences.lengths}
    options={LENGTHS}
    onchoose={(style) => preferences.setLengths(style)}
  />
  <button
    class="act"
    type="button"
    aria-pressed={workspace.arithmetic}
    onclick={() => (workspace.arithmetic = !workspace.arithmetic)}
    data-hint="Show all calculations (A)"
    ><Mark name="arithmetic" size={20} /> <span class="name">{COMMON.arithmetic}</span></button
  >
  <button class="act small keys" type="button" onclick={onkeys} aria-label="Keyboard shortcuts"
    >?</button
  >
</div>

<style>
  .history {
    display: flex;
    gap: 4px;
  }
  [aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
  @media (min-width: 901px) and (max-width: 1150px) {
    .name {
      position: absolute;
      clip-path: inset(50%);
    }
  }
  .tools {
    display: contents;
  }
  .menu {
    display: none;
  }
  @media (max-width: 900px) {
    .menu {
      display: inline-flex;
    }
    .tools {
      display: none;
      flex-basis: 100%;
      flex-wrap: wrap;
      gap: 8px;
    }
    .tools.open {
      display: flex;
    }
  }
  @media (max-width: 600px) {
    .keys {
      display: none;
    }
  }
</style>
