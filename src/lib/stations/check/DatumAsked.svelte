<script lang="ts">
  import type { TwoDatums } from '$core/check/height-datum.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';

  /** A height that fits the sheet's flat and not the dimple: which was measured. */
  interface Props {
    asked: TwoDatums;
    onflat: () => void;
    ondimple: () => void;
  }
  let { asked, onflat, ondimple }: Props = $props();
  const preferences = usePreferences();
  const flat = $derived(preferences.inWords(asked.flatIn));
  const dimple = $derived(preferences.inWords(asked.dimpleIn));
</script>

<div class="asked" role="group" aria-label="Measured from" data-testid="datum-asked">
  <p><strong>{flat} from the sheet’s flat? From the dimple that is {dimple}. Which?</strong></p>
  <button class="act" type="button" onclick={onflat}>From the flat: record {dimple}</button>
  <button class="act" type="button" onclick={ondimple}>From the dimple: {flat}</button>
</div>

<style>
  .asked {
    display: grid;
    gap: 6px;
    padding: 8px 12px;
    border: 2px solid var(--amber-line);
    border-radius: 8px;
    background: var(--amber-soft);
  }
</style>
