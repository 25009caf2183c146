<script lang="ts">
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
    { value: 'letter', text: 'Letter' }
  ]}
  onchoose={(value) => preferences.setPaper(value)}
/>
