<script lang="ts">
  import type { Snippet } from 'svelte';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Later from '$lib/ui/kit/Later.svelte';
  import StationFrame from '../../ui/joint/StationFrame.svelte';
  import ReleaseButton from './ReleaseButton.svelte';

  /** What stands at a station that works on a release, before there is one: the plan that would be released, and the press. */
  interface Props {
    title: string;
    text: string;
    /** what is done with the rivets there */
    what: string;
    act: string;
    station: 'drive' | 'inspect';
    /** what can be worked on without a release */
    below?: Snippet;
  }
  let { title, text, what, act, station, below }: Props = $props();
  const workspace = useWorkspace();
  const layout = $derived(workspace.now?.plan.layout);
</script>

<StationFrame>
  {#snippet inputs()}
    <h2>{title}</h2>
    <p>{text}</p>
    {#if layout?.ok}
      <p class="what">{layout.result.rivets} rivets {what}</p>
      <ReleaseButton text={act} {station} />
    {:else}
      <p>No layout to release. See Size and Layout for missing input.</p>
      <a class="act" href="/joints/{workspace.id}/size">To Size</a>
    {/if}
    {@render below?.()}
  {/snippet}
  {#snippet drawing()}
    {#if workspace.shown && layout?.ok}
      <p class="label">Plan, not released yet</p>
      <div class="plan">
        <Later
          load={() => import('$lib/drawing/plan/PlanView.svelte')}
          wanted
          props={{
            shown: workspace.shown,
            picked: workspace.picked,
            onpick: (hole: number) => (workspace.picked = hole),
            stale: !workspace.now
          }}
        />
      </div>
    {:else}
      <Later load={() => import('../../ui/joint/Unreadable.svelte')} wanted props={{}} />
    {/if}
  {/snippet}
</StationFrame>

<style>
  .plan {
    height: calc(100% - 28px);
    min-height: 300px;
  }
  .what {
    font-weight: 700;
  }
</style>
