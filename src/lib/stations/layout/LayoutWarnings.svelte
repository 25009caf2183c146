<script lang="ts">
  import type { PlanWarning } from '$core/plan/plan-shape.ts';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Warnings from '../../ui/joint/Warnings.svelte';

  /** What is wrong with the layout, each pointing at its holes and at what would settle it. */
  interface Props {
    warnings: readonly PlanWarning[];
  }
  let { warnings }: Props = $props();
  const workspace = useWorkspace();
  const adrift = $derived(
    workspace.now?.plan.layout.ok ? workspace.now.plan.layout.result.adrift : []
  );
  /** Lets go of everything set by hand that no longer fits. */
  function letGo(): void {
    const at = (what: 'edit' | 'fixed') =>
      new Set(adrift.filter((one) => one.what === what).map(({ id }) => id));
    const [edits, fixed] = [at('edit'), at('fixed')];
    workspace.edit(
      {
        edits: workspace.entered.edits.filter(({ id }) => !edits.has(id)),
        fixed: workspace.entered.fixed.filter(({ id }) => !fixed.has(id)),
        datum:
          fixed.size > 0 || adrift.some(({ what }) => what === 'datum')
            ? 'start'
            : workspace.entered.datum
      },
      'remove'
    );
  }
</script>

<Warnings {warnings} />
{#if adrift.length > 0}
  <button class="act" type="button" onclick={letGo}>Remove what no longer fits</button>
{/if}
