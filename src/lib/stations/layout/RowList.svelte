<script lang="ts" generics="T extends { id: string }">
  import type { Snippet } from 'svelte';
  import Plus from '@lucide/svelte/icons/plus';
  import X from '@lucide/svelte/icons/x';

  /** A short list of things with their fields: each can go, another can come. */
  interface Props {
    title: string;
    items: readonly T[];
    what: string;
    empty: string;
    onadd: () => void;
    onremove: (item: T) => void;
    row: Snippet<[T, number]>;
    more?: Snippet;
  }
  let { title, items, what, empty, onadd, onremove, row, more }: Props = $props();
  /** thousands may have come from a drawing */
  const AT_ONCE = 40;
  let most = $state(AT_ONCE);
</script>

<fieldset>
  <legend class="label">{title}</legend>
  {#each items.slice(0, most) as item, index (item.id)}
    <div class="item">
      <div class="fields">{@render row(item, index)}</div>
      <button
        class="act small"
        type="button"
        aria-label="Remove {what} {index + 1}"
        onclick={() => onremove(item)}><X size={18} /></button
      >
    </div>
  {:else}
    <p class="hint">{empty}</p>
  {/each}
  {#if items.length > most}
    <button class="act" type="button" onclick={() => (most += AT_ONCE)}
      >{Math.min(AT_ONCE, items.length - most)} of {items.length - most} more</button
    >
  {/if}
  <div class="wraps">
    <button data-testid="add {what}" class="act" type="button" onclick={onadd}
      ><Plus size={18} /> {what[0]?.toUpperCase()}{what.slice(1)}</button
    >
    {@render more?.()}
  </div>
</fieldset>

<style>
  fieldset {
    display: flex;
    flex-direction: column;
    gap: 6px;
    min-width: 0;
  }
  .item {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    align-items: start;
    gap: 6px;
    padding-bottom: 6px;
    border-bottom: 1px solid var(--line);
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 6px 8px;
  }
</style>
