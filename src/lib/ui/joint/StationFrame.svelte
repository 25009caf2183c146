<script lang="ts">
  import { LAYOUT } from '$lib/words/pages/layout';
  import type { Snippet } from 'svelte';

  /** A station's page: the drawing, the worksheet at the right, and what runs along the bottom. */
  interface Props {
    drawing: Snippet;
    worksheet: Snippet;
    foot?: Snippet;
    /** where they stand one below the other, the worksheet comes first */
    worksheetFirst?: boolean;
  }
  let { drawing, worksheet, foot, worksheetFirst = false }: Props = $props();
</script>

<div class="frame" class:worksheetFirst>
  <div class="drawing">{@render drawing()}</div>
  <aside class="worksheet" aria-label={LAYOUT.worksheet}>{@render worksheet()}</aside>
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
    /* what changes inside never moves what is outside: typing lays out one panel, not the page */
    contain: layout paint;
    container-type: inline-size;
    min-width: 0;
    min-height: 0;
    padding: 10px 14px;
    /* graph paper, faint */
    background:
      linear-gradient(color-mix(in srgb, var(--line) 35%, transparent) 1px, transparent 1px) 0 0 /
        24px 24px,
      linear-gradient(90deg, color-mix(in srgb, var(--line) 35%, transparent) 1px, transparent 1px)
        0 0 / 24px 24px;
  }
  .worksheet {
    display: flex;
    flex-direction: column;
    gap: 10px;
    min-height: 0;
    overflow-y: auto;
    padding: 12px 16px 16px;
    background: var(--panel);
    border-left: 1.5px solid var(--line);
  }
  /* what does not fit scrolls; nothing is squeezed */
  .worksheet > :global(*) {
    flex-shrink: 0;
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
    .worksheetFirst .worksheet {
      order: -1;
    }
    .worksheet {
      border-left: 0;
      overflow: visible;
    }
  }
</style>
