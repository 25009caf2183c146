<script lang="ts">
  import { KIT } from '$lib/words/pages/kit';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Choice from './Choice.svelte';

  /** What the shop's printer holds: asked once, remembered for every file. */
  const preferences = usePreferences();
</script>

<Choice
  label="Paper"
  value={preferences.paper}
  options={[
    { value: 'a4', text: 'A4' },
    { value: 'letter', text: KIT.letter }
  ]}
  onchoose={(value) => preferences.setPaper(value)}
/>
