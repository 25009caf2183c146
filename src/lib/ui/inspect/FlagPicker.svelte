<script lang="ts">
  import { SeenFlag } from '$core/inspect/findings.ts';
  import { findingLimits } from '$core/inspect/finding-limits.ts';
  import type { FlushLimits } from '$core/inspect/flush-look.ts';
  import type { Dash } from '$core/schema/fields.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import FindingPicture from '$lib/drawing/head/FindingPicture.svelte';
  import More from '../kit/More.svelte';
  import { FINDING_NAMES, findingNote, thresholdInWords } from '$lib/words/heads';

  /** What the eye saw that no caliper measures: each as a picture, with what divides leaving it from taking it out. */
  interface Props {
    flags: readonly SeenFlag[];
    dash: Dash;
    /** limits of flushness; null for heads that stand out */
    flush: FlushLimits | null;
    /** always open: it is how one looks */
    open?: boolean;
    ontoggle: (flag: SeenFlag) => void;
  }
  let { flags, dash, flush, open = false, ontoggle }: Props = $props();
  const preferences = usePreferences();
  const PLACES = ['shop head', 'manufactured head', 'sheet'] as const;
  const limits = $derived(findingLimits(dash));
  const at = (place: string) =>
    SeenFlag.options.filter(
      (flag) =>
        findingNote(flag, null).where.startsWith(place) &&
        (flush !== null || !flag.startsWith('not-flush'))
    );
</script>

<More
  testid="eye"
  title="Visual defects{flags.length > 0
    ? `: ${flags.map((flag) => FINDING_NAMES[flag]).join(', ')}`
    : ' (cracked, tipped head, open smile …)'}"
  open={open || flags.length > 0}
>
  {#each PLACES as place (place)}
    <p class="hint">{place}</p>
    <div class="cards" role="group" aria-label="Seen on the {place}">
      {#each at(place) as flag (flag)}
        <button
          type="button"
          class="card"
          data-testid="seen-{flag}"
          aria-label={FINDING_NAMES[flag]}
          aria-pressed={flags.includes(flag)}
          aria-describedby="limit-{flag}"
          onclick={() => ontoggle(flag)}
        >
          <FindingPicture {flag} />
          <span>
            <strong>{flags.includes(flag) ? '✕ ' : ''}{FINDING_NAMES[flag]}</strong>
            <small id="limit-{flag}"
              >{thresholdInWords(flag, limits, flush, preferences.inWords)}</small
            >
          </span>
        </button>
      {/each}
    </div>
  {/each}
</More>

<style>
  .cards {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 230px), 1fr));
    gap: 6px;
    padding-bottom: 8px;
  }
  .card {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 64px;
    padding: 4px 8px 4px 4px;
    border: 1.5px solid var(--line-strong);
    border-radius: 8px;
    background: var(--panel);
    text-align: left;
    cursor: pointer;
  }
  .card[aria-pressed='true'] {
    border-color: var(--brick-line);
    background: var(--brick-soft);
  }
  strong,
  small {
    display: block;
    line-height: 1.25;
  }
  small {
    font-size: var(--small);
    color: var(--ink-soft);
  }
</style>
