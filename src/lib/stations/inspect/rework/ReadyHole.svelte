<script lang="ts">
  import type { HoleRework } from '$core/reworking/rework-state.ts';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ReworkDesk } from '../rework-desk.svelte';
  import { REWORK_STEPS } from '$lib/words/rework';

  /** A hole that gets a new rivet: what is done at it first, ticked by whoever does it. */
  interface Props {
    rework: ReworkDesk;
    now: HoleRework;
  }
  let { rework, now }: Props = $props();
  const workspace = useWorkspace();
  const preferences = usePreferences();
  const steps = $derived(now.toDo);
  const open = $derived(steps.filter((step) => !now.steps.includes(step)).length);
</script>

<section class="ready" data-testid="ready-hole">
  <h3>Next rivet: {now.rivet?.partNumber}</h3>
  <p class="hint">
    Hole {preferences.inWords(now.rivet?.holeIn ?? 0)}. Complete each step when done.
  </p>
  <ul>
    {#each steps as step (step)}
      {@const done = now.steps.includes(step)}
      <li>
        <button
          class="act"
          type="button"
          aria-pressed={done}
          onclick={() => rework.add({ kind: 'step', hole: now.hole, step, done: !done })}
          ><span aria-hidden="true">{done ? '☑' : '☐'}</span> {REWORK_STEPS[step].todo}</button
        >
      </li>
    {/each}
  </ul>
  <p>
    {open === 0 ? '' : `${open} not completed. `}Clamp next to the hole, then
    <a href="/joints/{workspace.id}/drive">drive the rivet</a> and inspect it here.
  </p>
</section>

<style>
  .ready {
    display: flex;
    flex-direction: column;
    gap: 8px;
    padding: 10px 12px;
    border: 2px solid var(--line-strong);
    border-radius: 10px;
  }
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
</style>
