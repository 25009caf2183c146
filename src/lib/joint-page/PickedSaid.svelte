<script lang="ts">
  import { untrack } from 'svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import type { InspectDesk } from '$lib/stations/inspect/inspect-desk.svelte';
  import type { StationKey } from '$lib/stations/stations.ts';
  import { RESULT_NAMES } from '$lib/words/results.ts';

  /** The hole that was just picked, told to whoever does not see the drawing. */
  interface Props {
    station: StationKey;
    desk: InspectDesk | null;
  }
  let { station, desk }: Props = $props();
  const workspace = useWorkspace();
  const preferences = usePreferences();
  let said = $state('');
  let before = untrack(() => workspace.picked);

  function told(picked: number): string {
    if (station === 'inspect')
      return `Hole ${picked}, ${RESULT_NAMES[desk?.marks.get(picked) ?? 'to-do']}`;
    const hole = workspace.shown?.plan.holes.find(({ number }) => number === picked);
    return hole ? `Hole ${picked}, mark ${preferences.inWords(hole.markIn)}` : '';
  }
  $effect(() => {
    const { picked } = workspace;
    if (picked === before) return;
    before = picked;
    said = untrack(() => told(picked));
  });
</script>

<p class="sr-only" aria-live="polite" data-testid="picked-said">{said}</p>
