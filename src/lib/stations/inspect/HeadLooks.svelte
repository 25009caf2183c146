<script lang="ts">
  import { whenInWords } from '$lib/words/when';
  import { CHECK } from '$lib/words/pages/inspect';
  import type { HoleEvent } from '$core/inspect/hole-events.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { readingInWords } from '$lib/words/history';
  import { LOOKS, FINDING_NAMES } from '$lib/words/heads';
  import VoidIt from './VoidIt.svelte';
  import type { InspectDesk } from './inspect-desk.svelte';
  import { useReworkDesk } from './rework-desk.svelte';

  /** Every look at a rivet that counts, or counted until it was voided: they add up, and the worst governs. */
  interface Props {
    desk: InspectDesk;
    hole: number;
  }
  let { desk, hole }: Props = $props();
  const preferences = usePreferences();
  const open = useReworkDesk();
  const rework = $derived(open.desk);
  const now = $derived(desk.states.get(hole));
  const counted = $derived(new Set((now?.counted ?? []).map(({ id }) => id)));
  const looks = $derived(
    (now?.all ?? []).filter(({ id }) => counted.has(id) || desk.rework.voidedLooks.has(id))
  );
  const said = (look: HoleEvent): string =>
    [
      readingInWords(look, preferences.inWords),
      ...look.frozen.findings.map((finding) => FINDING_NAMES[finding]),
      ...(look.kind === 'checked' ? (look.looked ?? []).map((one) => LOOKS[one]) : [])
    ].join('; ');
</script>

{#if rework && looks.length > 0}
  <section class="looks" aria-label="Inspections of hole {hole}" data-testid="head-looks">
    <h3 class="label">
      {looks.length === 1 ? 'The inspection' : 'Inspections: all count, the worst governs'}
    </h3>
    <ul>
      {#each looks as look (look.id)}
        {@const voided = desk.rework.voidedLooks.get(look.id)}
        <li>
          <span class:voided={voided !== undefined}>{said(look)}</span>
          <span class="hint"
            >{look.by}, {whenInWords(look.at)}{voided
              ? `; voided by ${voided.by}: ${voided.why}`
              : ''}</span
          >
          {#if !voided}
            <VoidIt
              name="void-look"
              act={CHECK.voidThisLook}
              onvoid={(why) => rework.add({ kind: 'voided-look', hole, look: look.id, why })}
            />
          {/if}
        </li>
      {/each}
    </ul>
  </section>
{/if}

<style>
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 10px;
    padding: 2px 0;
    font-variant-numeric: tabular-nums;
  }
  .voided {
    text-decoration: line-through;
  }
</style>
