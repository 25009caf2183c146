<script lang="ts">
  import type { Stale } from '$lib/client/autosave.svelte';
  import type { Workspace } from '$lib/client/workspace.svelte';
  import Sheet from '../ui/kit/Sheet.svelte';
  import { fieldName } from '$lib/words/field-names';

  /** Someone else saved meanwhile: what they changed, and what to do about it. Nothing is overwritten unasked. */
  interface Props {
    theirs: Stale;
    workspace: Workspace;
  }
  let { theirs, workspace }: Props = $props();
  let later = $state(false);
</script>

<Sheet title="Changed in another place" open={!later} onclose={() => (later = true)}>
  <p>
    This joint was saved elsewhere{theirs.savedBy ? ` by ${theirs.savedBy}` : ''}. Nothing was
    overwritten, and what you typed here is kept.
  </p>
  <table>
    <thead><tr><th>What</th><th>Was</th><th>Is now</th></tr></thead>
    <tbody>
      {#each theirs.changes as change (change.path)}
        <tr
          ><td>{fieldName(change.path, theirs.definition)}</td><td>{change.was}</td><td
            >{change.now}</td
          ></tr
        >
      {/each}
    </tbody>
  </table>
  <div class="acts">
    <button class="act main" type="button" onclick={() => workspace.takeTheirs(theirs)}
      >Take the other version</button
    >
    <button class="act" type="button" onclick={() => workspace.keepMine(theirs)}
      >Save mine on top of it</button
    >
  </div>
</Sheet>
{#if later}
  <button class="act reopen" type="button" onclick={() => (later = false)}
    >△ Changed elsewhere: decide</button
  >
{/if}

<style>
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th {
    text-align: left;
    color: var(--ink-soft);
    font-weight: 400;
  }
  th,
  td {
    padding: 6px 8px 6px 0;
    border-bottom: 1px solid var(--line);
    overflow-wrap: anywhere;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
  }
  .reopen {
    position: fixed;
    right: 20px;
    bottom: 20px;
    z-index: 30;
    border-color: var(--amber-line);
    background: var(--amber-soft);
  }
</style>
