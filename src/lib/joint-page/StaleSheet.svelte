<script lang="ts">
  import { BENCH } from '$lib/words/pages/bench';
  import type { Choices } from '$core/joint/merge.ts';
  import type { JointDocument, Stale } from '$lib/client/autosave.svelte';
  import type { Workspace } from '$lib/client/workspace.svelte';
  import { fieldName } from '$lib/words/field-names';
  import Sheet from '../ui/kit/Sheet.svelte';
  import { bothHands } from './both-hands';

  /** Someone else saved meanwhile: what both changed, side by side, and what to do about it. Nothing is overwritten unasked. */
  interface Props {
    theirs: Stale;
    /** what both began from; null where that is not known */
    base: JointDocument | null;
    workspace: Workspace;
  }
  let { theirs, base, workspace }: Props = $props();
  let later = $state(false);
  let choices = $state<Choices>({});

  const mine = $derived({ title: workspace.title, definition: workspace.entered });
  const other = $derived({ title: theirs.title, definition: theirs.definition });
  const both = $derived(base === null ? null : bothHands(base, mine, other, choices));
  const open = $derived((both?.crossings ?? []).filter((path) => choices[path] === undefined));
  const name = (path: string) => fieldName(path, theirs.definition);
  const crosses = (path: string) => both?.crossings.includes(path) ?? false;
  const whom = $derived(theirs.savedBy ?? 'the other');
</script>

<Sheet title={BENCH.changedInAnotherPlace} open={!later} onclose={() => (later = true)}>
  <p>
    {theirs.savedBy ?? 'Another session'} saved this joint while you were editing. Nothing was overwritten.
    Choose what to keep.
  </p>
  {#if both}
    <table>
      <thead><tr><th>What</th><th>Was</th><th>Here</th><th>By {whom}</th></tr></thead>
      <tbody>
        {#each both.rows as row (row.path)}
          <tr class:crosses={crosses(row.path)}>
            <td>{name(row.path)}{crosses(row.path) ? ' △ both' : ''}</td>
            <td>{row.was}</td>
            {#each ['mine', 'theirs'] as const as whose (whose)}
              <td>
                {#if crosses(row.path)}
                  <label class="tick-line">
                    <input
                      type="radio"
                      name="stays {row.path}"
                      value={whose}
                      checked={choices[row.path] === whose}
                      onchange={() => (choices = { ...choices, [row.path]: whose })}
                    />{row[whose]}
                  </label>
                {:else}{row[whose] || '–'}{/if}
              </td>
            {/each}
          </tr>
        {/each}
        {#each both.crossings.filter((path) => !both.rows.some((row) => row.path === path)) as path (path)}
          <tr class="crosses">
            <td>{name(path)} △ both</td>
            <td></td>
            {#each ['mine', 'theirs'] as const as whose (whose)}
              <td>
                <label class="tick-line">
                  <input
                    type="radio"
                    name="stays {path}"
                    value={whose}
                    checked={choices[path] === whose}
                    onchange={() => (choices = { ...choices, [path]: whose })}
                  />{whose === 'mine' ? 'as here' : `as by ${whom}`}
                </label>
              </td>
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  {:else}
    <table>
      <thead><tr><th>What</th><th>Was</th><th>Is now</th></tr></thead>
      <tbody>
        {#each theirs.changes as change (change.path)}
          <tr><td>{name(change.path)}</td><td>{change.was}</td><td>{change.now}</td></tr>
        {/each}
      </tbody>
    </table>
  {/if}
  {#if both?.together}
    <p role="status">
      {open.length > 0
        ? `Both changed ${open.map(name).join(', ')}: choose one.`
        : 'The merged joint is recalculated. Review it afterward.'}
    </p>
  {:else if both}
    <p role="status">These versions cannot be merged. Choose one.</p>
  {/if}
  <div class="acts">
    {#if both?.together}
      <button
        class="act main"
        type="button"
        disabled={open.length > 0}
        onclick={() => both.together && workspace.takeBoth(theirs, both.together)}
        >{BENCH.putBothTogether}</button
      >
    {/if}
    <button class="act" type="button" onclick={() => workspace.takeTheirs(theirs)}
      >Use their version</button
    >
    <button class="act" type="button" onclick={() => workspace.keepMine(theirs)}
      >{BENCH.saveMineOnTopOf}</button
    >
  </div>
</Sheet>
{#if later}
  <button class="act reopen" type="button" onclick={() => (later = false)}
    >{BENCH.changedElsewhereDecide}</button
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
  .crosses td {
    background: var(--amber-soft);
  }
  [role='status'] {
    margin-block: 10px;
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
