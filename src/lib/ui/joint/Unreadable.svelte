<script lang="ts">
  import { sayInches as withUnit } from '$lib/words/carry-unit';
  import { LAYOUT } from '$lib/words/pages/layout';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import { valueAt } from '$core/joint/paths.ts';
  import { fieldName } from '$lib/words/field-names';
  import { maybeMeant } from '../kit/field-problem.ts';
  import GhostJoint from './GhostJoint.svelte';
  import Progress from '../kit/Progress.svelte';

  const preferences = usePreferences();

  /** Shown over a drawing whose fields cannot be read: what is missing, and one tap that mends it. */
  const workspace = useWorkspace();
  const blank = (path: string): boolean =>
    String(valueAt(workspace.entered, path) ?? '').trim() === '';
  const missing = $derived(workspace.problems.filter(({ path }) => blank(path)));
  const wrong = $derived(workspace.problems.filter(({ path }) => !blank(path)));
  const { solver } = workspace;
</script>

{#if workspace.slow && !workspace.now}
  <div class="unreadable" role="status" data-testid="solving">
    <div class="missing">
      {#if solver.state.kind === 'solving'}
        <h2>Calculating rows around keep-outs</h2>
        <Progress label="Solved" max={100} value={Math.round(100 * solver.state.done)} />
        <p>{Math.round(solver.state.done * 100)} % of the longest part. You can keep typing.</p>
        <button class="act" type="button" onclick={() => solver.cancel()}>Cancel</button>
      {:else if solver.state.kind === 'cancelled'}
        <h2>{LAYOUT.canceled}</h2>
        <p>The previous drawing is shown. Any change restarts the calculation.</p>
        <button class="act" type="button" onclick={() => workspace.solveAgain()}>Calculate</button>
      {:else}
        <h2>Calculation failed</h2>
        <button class="act" type="button" onclick={() => workspace.solveAgain()}>Try again</button>
      {/if}
    </div>
  </div>
{:else if workspace.problems.length > 0}
  <div class="unreadable" role="status">
    {#each wrong as problem (problem.path)}
      <div class="wrong">
        <h2>△ {fieldName(problem.path, workspace.entered)}</h2>
        <p>{preferences.refusal(problem.said)}</p>
        {#if problem.instead !== null}
          <button
            class="act"
            type="button"
            onclick={() => workspace.setAt(problem.path, problem.instead ?? '')}
          >
            Use {withUnit(problem.instead)}
          </button>
        {/if}
        {#if maybeMeant(problem)}
          <button class="act" type="button" onclick={() => workspace.mean(problem.path)}
            >{valueAt(workspace.entered, problem.path)} is correct</button
          >
        {/if}
      </div>
    {/each}
    {#if !workspace.shown}
      <GhostJoint />
    {:else if missing.length > 0}
      <div class="missing">
        <h2>Missing inputs</h2>
        <p>{missing.map(({ path }) => fieldName(path, workspace.entered)).join(' · ')}</p>
      </div>
    {/if}
  </div>
{/if}

<style>
  .unreadable {
    display: flex;
    flex-direction: column;
    gap: 12px;
    width: min(520px, 100%);
    margin: 0 auto;
    z-index: 2;
  }
  .unreadable > .missing,
  .unreadable > .wrong {
    padding: 16px 20px;
    border-radius: 10px;
    border: 1.5px solid var(--line-strong);
    background: var(--panel);
  }
  .wrong {
    border-color: var(--amber-line) !important;
    background: var(--amber-soft) !important;
  }
  h2 {
    font-size: 1.2rem;
  }
  .act {
    margin-top: 10px;
    border-color: var(--amber-line);
  }
</style>
