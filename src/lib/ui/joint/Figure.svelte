<script lang="ts">
  import Mark from '../marks/Mark.svelte';
  import type { Snippet } from 'svelte';
  import type { WorkLine } from '$core/answer.ts';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Arithmetic from '../kit/Arithmetic.svelte';
  import TermText from '../kit/TermText.svelte';
  import LimitBar from '../kit/LimitBar.svelte';

  /** One answer: its name, the figure, its place between the limits, and its arithmetic. */
  interface Props {
    label: string;
    children: Snippet;
    /** none while there is no answer yet: its row is there all the same */
    work?: readonly WorkLine[];
    source?: string;
    /** value and limits in one unit, usually D */
    limits?: { low: number; high: number; value: number; unit: string } | undefined;
    big?: boolean;
    note?: string;
  }
  let { label, children, work = [], source = '', limits, big = false, note = '' }: Props = $props();
  const workspace = useWorkspace();
  let opened = $state(false);
  const open = $derived(opened || workspace.arithmetic);
</script>

<div class="figure" class:big>
  <span class="name"
    ><TermText text={label} />{#if note}<small>{note}</small>{/if}</span
  >
  <span class="value" data-figure={label}>{@render children()}</span>
  <span class="bar"
    >{#if limits}<LimitBar {...limits} />{/if}</span
  >
  <button
    class="sum"
    type="button"
    class:none={work.length === 0}
    disabled={work.length === 0}
    aria-expanded={open}
    aria-label="Arithmetic of {label}"
    data-hint="Arithmetic"
    onclick={() => (opened = !opened)}><Mark name="arithmetic" size={20} /></button
  >
</div>
{#if open && work.length > 0}<Arithmetic {work} {source} />{/if}

<style>
  .figure {
    display: grid;
    grid-template-columns: minmax(0, 7.2rem) minmax(6.2rem, auto) 1fr 44px;
    align-items: center;
    column-gap: 0.5rem;
    min-height: 46px;
    border-bottom: 1px solid var(--line);
  }
  .name {
    line-height: 1.2;
  }
  .name small {
    display: block;
    color: var(--ink-soft);
    font-size: max(var(--small), 0.78em);
  }
  .value {
    font-size: 1.3rem;
    font-weight: 700;
    white-space: nowrap;
    font-variant-numeric: tabular-nums;
  }
  .big .value {
    font-size: 2rem;
    line-height: 1.15;
  }
  .sum {
    width: 44px;
    height: 44px;
    color: var(--ink-soft);
    font-size: 1.1rem;
    border-radius: 8px;
    cursor: pointer;
  }
  .none {
    visibility: hidden;
  }
  .sum:hover,
  .sum[aria-expanded='true'] {
    background: var(--bench);
    color: var(--ink);
  }
</style>
