<script lang="ts">
  import { giveJson } from '../client/give-file';
  import Notice from '../ui/kit/Notice.svelte';

  /** Typing that lies in this browser and cannot be read: said, and given out as it is. Nothing typed is lost. */
  interface Props {
    texts: readonly string[];
    title: string;
  }
  let { texts, title }: Props = $props();
  let closed = $state(false);
  const takeOut = (): void =>
    giveJson(`${title.replace(/[^\p{L}\p{N}]+/gu, '-') || 'joint'}-kept.json`, ...texts);
</script>

{#if texts.length > 0 && !closed}
  <Notice
    level="attention"
    title="Unsaved edits from an earlier session"
    text="They do not fit the saved joint (too many holes or another version). The saved joint is shown. Download the edits if you need them."
  />
  <div class="acts">
    <button class="act" type="button" onclick={takeOut}>Download edits</button>
    <button class="act" type="button" onclick={() => (closed = true)}>Dismiss</button>
  </div>
{/if}

<style>
  .acts {
    display: flex;
    gap: 8px;
    padding: 4px 12px;
  }
</style>
