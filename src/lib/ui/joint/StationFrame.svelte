<script lang="ts">
  import { LAYOUT } from '$lib/words/pages/layout';
  import type { Snippet } from 'svelte';

  /**
   * The page of a stage: the drawing, the worksheet at the right, and what runs along the bottom. On a phone they stand one
   * below the other: what is typed, then the drawing, then the rest of the worksheet.
   */
  interface Props {
    drawing: Snippet;
    /** what is typed, and what comes of it at once */
    inputs?: Snippet;
    worksheet?: Snippet;
    foot?: Snippet;
    /** beside the drawing the inputs stand below the rest of the worksheet */
    inputsLast?: boolean;
  }
  let { drawing, inputs, worksheet, foot, inputsLast = false }: Props = $props();
</script>

{#snippet typed()}
  {#if inputs}<div class="part inputs">{@render inputs()}</div>{/if}
{/snippet}

<div class="frame">
  <aside class="worksheet" aria-label={LAYOUT.worksheet}>
    {#if !inputsLast}{@render typed()}{/if}
    {#if worksheet}<div class="part">{@render worksheet()}</div>{/if}
    {#if inputsLast}{@render typed()}{/if}
  </aside>
  <div class="drawing">{@render drawing()}</div>
  {#if foot}<div class="foot">{@render foot()}</div>{/if}
</div>

<style>
  .frame {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 404px;
    grid-template-rows: minmax(0, 1fr) auto;
    height: 100%;
  }
  .drawing {
    grid-area: 1 / 1;
    /* what changes inside never moves what is outside: typing lays out one panel, not the page */
    contain: layout paint;
    container-type: inline-size;
    min-width: 0;
    min-height: 0;
    overflow: hidden auto;
    padding: 10px 14px;
    /* graph paper, faint */
    background:
      linear-gradient(color-mix(in srgb, var(--line) 35%, transparent) 1px, transparent 1px) 0 0 /
        24px 24px,
      linear-gradient(90deg, color-mix(in srgb, var(--line) 35%, transparent) 1px, transparent 1px)
        0 0 / 24px 24px;
  }
  .worksheet,
  .part {
    display: flex;
    flex-direction: column;
    gap: 10px;
  }
  .worksheet {
    grid-area: 1 / 2;
    min-height: 0;
    overflow-y: auto;
    padding: 12px 16px 16px;
    background: var(--panel);
    border-left: 1.5px solid var(--line);
  }
  /* what does not fit scrolls; nothing is squeezed */
  .part,
  .part > :global(*) {
    flex-shrink: 0;
  }
  .part:empty {
    display: none;
  }
  .foot {
    grid-column: 1 / -1;
    min-width: 0;
  }
  @media (max-width: 900px) {
    .frame {
      display: flex;
      flex-direction: column;
      height: auto;
    }
    .drawing {
      padding: 6px;
    }
    .worksheet {
      display: contents;
    }
    .part {
      order: 1;
      padding: 12px 16px 16px;
      background: var(--panel);
    }
    .inputs {
      order: -1;
    }
    .foot {
      order: 2;
    }
  }
</style>
