<script lang="ts">
  import Asked from './Asked.svelte';
  import type { TwoDatums } from '$core/inspect/height-datum.ts';
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

<Asked label="Measured from" testid="datum-asked">
  <p><strong>{flat} from the sheet’s flat? From the dimple that is {dimple}. Which?</strong></p>
  <button class="act" type="button" onclick={onflat}>From the flat: record {dimple}</button>
  <button class="act" type="button" onclick={ondimple}>From the dimple: {flat}</button>
</Asked>
