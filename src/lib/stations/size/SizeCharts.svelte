<script lang="ts">
  import type { StrengthView } from '$core/plan/strength-view.ts';
  import EfficiencyChart from '$lib/drawing/chart/EfficiencyChart.svelte';
  import SizeChart from '$lib/drawing/chart/SizeChart.svelte';
  import { useWorkspace, type ShownPlan } from '$lib/client/workspace.svelte';

  /** What Carry draws: every size beside what is asked of it, or the strength over the pitch. */
  interface Props {
    view: 'sizes' | 'strength';
    strength: StrengthView | null;
    shown: ShownPlan;
  }
  let { view, strength, shown }: Props = $props();
  const workspace = useWorkspace();
  const stale = $derived(!workspace.now);
</script>

{#if view === 'sizes'}
  <SizeChart {shown} {stale} onpick={(dash) => workspace.edit({ dash }, 'dash')} />
{:else if strength}
  <EfficiencyChart view={strength} limits={workspace.profile.multipliers} {stale} />
{:else}
  <p class="hint">No layout yet: nothing to show.</p>
{/if}
