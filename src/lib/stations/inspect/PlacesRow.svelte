<script lang="ts">
  import { Place } from '$core/inspect/findings.ts';
  import { PLACE_WORDS } from '$lib/words/heads';
  import { sentence } from '$lib/words/writing';

  /** The three places, one tap each when clean. */
  interface Props {
    clean: readonly Place[];
    onchange: (clean: Place[]) => void;
  }
  let { clean, onchange }: Props = $props();
  const toggle = (place: Place) =>
    onchange(clean.includes(place) ? clean.filter((one) => one !== place) : [...clean, place]);
</script>

<div class="wraps" role="group" aria-label="No defects">
  {#each Place.options as place (place)}
    <button
      class="act"
      type="button"
      aria-pressed={clean.includes(place)}
      onclick={() => toggle(place)}
      >{clean.includes(place) ? '✓ ' : ''}{sentence(PLACE_WORDS[place])} OK</button
    >
  {/each}
</div>

<style>
  .act {
    flex: 1 1 7rem;
    min-height: 44px;
    padding-inline: 8px;
    font-size: var(--small);
  }
  .act[aria-pressed='true'] {
    border-color: var(--olive);
    background: var(--olive-soft);
    color: var(--ink);
  }
</style>
