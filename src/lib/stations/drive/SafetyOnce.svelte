<script lang="ts">
  import { DRIVE } from '$lib/words/pages/drive';
  import { z } from 'zod';
  import { recalled, remember } from '$lib/client/remembered';
  import { DRIVE_SAFETY, TOOL_CHECKS } from '$lib/words/driving';

  /** What can hurt, and what is looked at before use: in sight once a shift, until whoever is at the bench has read it. */
  interface Props {
    person: string;
  }
  let { person }: Props = $props();
  const SHIFT_MS = 10 * 3_600_000;
  const key = $derived(`drive-safety.${person}`);
  let read = $state(true);
  // another person at the bench reads it too
  $effect(() => {
    const at = recalled(key, z.number());
    read = at !== null && Date.now() - at < SHIFT_MS;
  });
  function done(): void {
    read = true;
    remember(key, Date.now());
  }
</script>

{#if !read}
  <section aria-label="Before the first rivet of the shift" data-testid="safety-once">
    <h2 class="label">△ Before the first rivet of the shift</h2>
    <ul class="bulleted">
      {#each DRIVE_SAFETY as line (line)}<li>{line}</li>{/each}
    </ul>
    <p class="hint">Daily tool check: {TOOL_CHECKS.join(' · ')}</p>
    <button class="act" type="button" onclick={done}>{DRIVE.readAndLookedAt}</button>
  </section>
{/if}

<style>
  section {
    display: grid;
    gap: 6px;
    padding: 10px 12px;
    border-left: 6px solid var(--amber-line);
    border-radius: 8px;
    background: var(--amber-soft);
  }
</style>
