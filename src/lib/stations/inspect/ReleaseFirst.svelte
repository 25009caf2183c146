<script lang="ts">
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import ReleaseButton from './ReleaseButton.svelte';

  /** What stands at a station that works on a release, before there is one. */
  interface Props {
    title: string;
    text: string;
    /** what is done with the rivets there */
    what: string;
    act: string;
    station: 'drive' | 'inspect';
  }
  let { title, text, what, act, station }: Props = $props();
  const workspace = useWorkspace();
  const layout = $derived(workspace.now?.plan.layout);
</script>

<div class="begin">
  <h2>{title}</h2>
  <p>{text}</p>
  {#if layout?.ok}
    <p class="what">{layout.result.rivets} rivets {what}</p>
    <ReleaseButton text={act} {station} />
  {:else}
    <p>No layout to release. See Size and Layout for missing input.</p>
    <a class="act" href="/joints/{workspace.id}/size">To Size</a>
  {/if}
</div>

<style>
  .begin {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: 1rem;
    max-width: 620px;
    padding: 3rem;
  }
  h2 {
    font-size: 1.7rem;
  }
  .what {
    font-size: 1.3rem;
    font-weight: 700;
  }
</style>
