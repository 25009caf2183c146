<script lang="ts">
  import { KIT } from '$lib/words/pages/kit';
  import { DRIVE_SAFETY, TOOL_CHECKS } from '$lib/words/driving';
  import More from './More.svelte';

  /** What is looked at before a tool is used, and what can hurt: one tap away. */
  const LISTS = [
    { title: 'Before use, daily', lines: TOOL_CHECKS },
    { title: KIT.whatCanHurt, lines: DRIVE_SAFETY }
  ];
</script>

{#each LISTS as { title, lines } (title)}
  <More {title}>
    <ul class="bulleted">
      {#each lines as line (line)}<li>{line}</li>{/each}
    </ul>
  </More>
{/each}
