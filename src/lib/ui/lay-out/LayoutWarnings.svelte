<script lang="ts">
  import type { PlanWarning } from '$core/plan-shape.ts';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Notice from '../Notice.svelte';

  /** What is wrong with the layout, each pointing at its holes and at what would settle it. */
  interface Props {
    warnings: readonly PlanWarning[];
  }
  let { warnings }: Props = $props();
  const workspace = useWorkspace();
  const MOST_NAMED = 8;
  const adrift = $derived(
    workspace.now?.plan.layout.ok ? workspace.now.plan.layout.result.adrift : []
  );
  /** Lets go of everything set by hand that no longer fits. */
  function letGo(): void {
    const at = (what: 'edit' | 'fixed') =>
      new Set(adrift.filter((one) => one.what === what).map(({ index }) => index));
    const [edits, fixed] = [at('edit'), at('fixed')];
    workspace.edit(
      {
        edits: workspace.entered.edits.filter((_, index) => !edits.has(index)),
        fixed: workspace.entered.fixed.filter((_, index) => !fixed.has(index)),
        datum:
          fixed.size > 0 || adrift.some(({ what }) => what === 'datum')
            ? 'start'
            : workspace.entered.datum
      },
      'let go'
    );
  }
</script>

{#each warnings as warning, index (index)}
  <Notice level={warning.level} title={warning.title} text={warning.text}>
    {#if warning.holes && warning.holes.length > 0}
      <div class="holes" role="group" aria-label="Holes of: {warning.title}">
        {#each warning.holes.slice(0, MOST_NAMED) as hole (hole)}
          <button
            class="act small"
            type="button"
            aria-pressed={hole === workspace.picked}
            onclick={() => (workspace.picked = hole)}>{hole}</button
          >
        {/each}
      </div>
    {/if}
    {#if warning.ways && warning.ways.length > 0}
      <div class="holes">
        {#each warning.ways as way (way.text)}
          <button class="act" type="button" onclick={() => workspace.take(way)}>{way.text}</button>
        {/each}
      </div>
    {/if}
  </Notice>
{/each}
{#if adrift.length > 0}
  <button class="act" type="button" onclick={letGo}>Let go of what no longer fits</button>
{/if}

<style>
  .holes {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin-top: 6px;
  }
  [aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
</style>
