<script lang="ts">
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import { fieldName } from './field-names';

  /** Shown over a drawing whose fields cannot be read: what is missing, and one tap that mends it. */
  const workspace = useWorkspace();
  const sheetOf = (path: string) => /^sheets\.(\d+)\./.exec(path)?.[1];
  const blank = (path: string): boolean => {
    const sheet = sheetOf(path);
    if (sheet !== undefined)
      return workspace.entered.sheets[Number(sheet)]?.thicknessIn.trim() === '';
    return path === 'widthIn' && workspace.entered.widthIn.trim() === '';
  };
  const missing = $derived(workspace.problems.filter(({ path }) => blank(path)));
  const wrong = $derived(workspace.problems.filter(({ path }) => !blank(path)));
  function use(path: string, text: string): void {
    const sheet = sheetOf(path);
    if (sheet !== undefined) workspace.editSheet(Number(sheet), { thicknessIn: text });
  }
</script>

{#if workspace.problems.length > 0}
  <div class="unreadable" role="status">
    {#each wrong as problem (problem.path)}
      <div class="wrong">
        <h2>△ {fieldName(problem.path)}</h2>
        <p>{problem.message}</p>
        {#if problem.instead !== null}
          <button
            class="act"
            type="button"
            onclick={() => use(problem.path, problem.instead ?? '')}
          >
            Yes, use {problem.instead} in
          </button>
        {/if}
      </div>
    {/each}
    {#if missing.length > 0}
      <div class="missing">
        <h2>Still needed for the drawing</h2>
        <p>{missing.map(({ path }) => fieldName(path)).join(' · ')}</p>
        <p class="hint">Write 3/32, .094, 1 1/8, 2.4mm or 32 thou; it is drawn as you type.</p>
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
  .unreadable > div {
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
