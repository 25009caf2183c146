<script lang="ts">
  import { CHECK } from '$lib/words/pages/inspect';
  import type { Place } from '$core/inspect/findings.ts';
  import { PLACE_WORDS } from '$lib/words/heads';
  import { plural, sentence } from '$lib/words/writing';
  import More from '../../ui/kit/More.svelte';
  import Pick from '../../ui/kit/Pick.svelte';
  import type { InspectDesk } from './inspect-desk.svelte';

  /** Many rivets inspected from the far side at once: clean, except those that are tapped. Nothing is ticked beforehand. */
  interface Props {
    desk: InspectDesk;
    onpick: (hole: number) => void;
  }
  let { desk, onpick }: Props = $props();
  const PLACES = ['manufactured', 'sheet'] as const satisfies Place[];
  let row = $state('');
  let clean = $state<Place[]>([]);
  let except = $state<number[]>([]);
  let said = $state('');
  const rows = $derived([...new Set(desk.release.holes.map((hole) => hole.row))]);
  const inRow = $derived(
    new Set(
      desk.release.holes
        .filter((hole) => row === '' || hole.row === Number(row))
        .map((h) => h.number)
    )
  );
  const there = $derived(desk.inMetal().filter((hole) => inRow.has(hole)));
  const holes = $derived(there.filter((hole) => !except.includes(hole)));
  const what = $derived(
    PLACES.filter((place) => clean.includes(place)).map((one) => PLACE_WORDS[one])
  );
  const toggle = <T,>(list: T[], one: T): T[] =>
    list.includes(one) ? list.filter((other) => other !== one) : [...list, one];

  function record(): void {
    const left = there.filter((hole) => except.includes(hole));
    const taken = desk.recordClean(holes, clean);
    said = `${plural(taken, 'rivet')} recorded: ${what.join(' and ')} clean.${
      left.length > 0 ? ` Now inspect ${left.join(', ')} one by one.` : ''
    }`;
    clean = [];
    except = [];
    if (left[0] !== undefined) {
      desk.way = 'eye';
      onpick(left[0]);
    }
  }
</script>

<More title={CHECK.theFarSideManyRivets}>
  <div class="far" data-testid="far-side">
    <Pick
      label={CHECK.which}
      value={row}
      options={[
        { value: '', text: 'all that are in' },
        ...rows.map((number) => ({ value: String(number), text: `row ${number}` }))
      ]}
      onchoose={(value) => {
        row = value;
        except = [];
      }}
    />
    <div class="acts" role="group" aria-label="Inspected and clean from the far side">
      {#each PLACES as place (place)}
        <button
          class="act"
          type="button"
          data-testid="clean-{place}"
          aria-pressed={clean.includes(place)}
          onclick={() => (clean = toggle(clean, place))}
          >{clean.includes(place) ? '✓ ' : ''}{sentence(PLACE_WORDS[place])} clean</button
        >
      {/each}
    </div>
    {#if clean.length > 0}
      <p class="label" id="far-except">Except: tap each that is not</p>
      <div class="holes" role="group" aria-labelledby="far-except">
        {#each there as hole (hole)}
          <button
            class="act small"
            type="button"
            aria-pressed={except.includes(hole)}
            onclick={() => (except = toggle(except, hole))}
            >{except.includes(hole) ? '✕ ' : ''}{hole}</button
          >
        {/each}
      </div>
      <button
        data-testid="record-far-side"
        class="act main"
        type="button"
        disabled={holes.length === 0}
        onclick={record}>Record {plural(holes.length, 'rivet')}: {what.join(' and ')} clean</button
      >
    {/if}
    {#if said}<p role="status">✓ {said}</p>{/if}
  </div>
</More>

<style>
  .far,
  .acts,
  .holes {
    display: flex;
    gap: 8px;
  }
  .far {
    flex-direction: column;
    align-items: stretch;
  }
  .acts,
  .holes {
    flex-wrap: wrap;
  }
  .acts .act {
    flex: 1 1 8rem;
    min-height: 44px;
  }
  .holes .act {
    min-width: 44px;
    min-height: 44px;
  }
  .act[aria-pressed='true'] {
    border-color: var(--olive);
    background: var(--olive-soft);
    color: var(--ink);
  }
  .holes .act[aria-pressed='true'] {
    border-color: var(--brick-line);
    background: var(--brick-soft);
    color: var(--ink);
  }
</style>
