<script lang="ts">
  import { SeenFlag } from '$core/check/findings.ts';
  import { FINDING_NOTES } from '$lib/words/heads';

  /** What the eye saw that no caliper measures; each opens to where to look and what it means. */
  interface Props {
    flags: readonly SeenFlag[];
    ontoggle: (flag: SeenFlag) => void;
  }
  let { flags, ontoggle }: Props = $props();
  const PLACES = ['shop head', 'manufactured head', 'sheet'] as const;
  const at = (place: string) =>
    SeenFlag.options.filter((flag) => FINDING_NOTES[flag].where.startsWith(place));
</script>

<details class="flags" open={flags.length > 0}>
  <summary>
    What the eye sees{flags.length > 0 ? `: ${flags.join(', ')}` : ' (cracked, tilted, smile …)'}
  </summary>
  {#each PLACES as place (place)}
    <p class="hint">{place}</p>
    <div class="row">
      {#each at(place) as flag (flag)}
        <button
          class="act small"
          type="button"
          aria-pressed={flags.includes(flag)}
          title="{FINDING_NOTES[flag].cause}: {FINDING_NOTES[flag].remedy}"
          onclick={() => ontoggle(flag)}>{flag}</button
        >
      {/each}
    </div>
  {/each}
</details>

<style>
  .flags {
    border: 1.5px solid var(--line);
    border-radius: 8px;
    padding: 0 12px;
  }
  summary {
    min-height: 44px;
    display: flex;
    align-items: center;
    cursor: pointer;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    padding-bottom: 8px;
  }
  [aria-pressed='true'] {
    background: var(--ink);
    color: var(--paper);
  }
</style>
