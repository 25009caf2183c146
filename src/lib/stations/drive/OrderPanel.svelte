<script lang="ts">
  import { DRIVE } from '$lib/words/pages/drive';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { OrderSchool } from '$core/driving/driving-order.ts';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import Choice from '../../ui/kit/Choice.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import { dragOrder, orderHandle } from '../../ui/kit/drag-order';
  import type { DriveDesk } from './drive-desk.svelte';

  /** In what order: the school, the numbers, one’s own order by dragging or by keys. */
  interface Props {
    desk: DriveDesk;
    arithmetic: boolean;
  }
  let { desk, arithmetic }: Props = $props();
  const preferences = usePreferences();
  const SCHOOLS = [
    {
      value: 'flat',
      text: 'center outward',
      title: 'From the middle outwards, skipping; ends last'
    },
    {
      value: 'sequence',
      text: 'in sequence',
      title: 'Along one row, back along the next: long members'
    }
  ] as const;
  /** so many are put in order by hand at a time; further on they come into the list */
  const SHOWN = 60;
  const open = $derived(desk.order.filter((number) => !desk.stateOf(number)?.driven));
  let dragging = $state<{ id: string; number: number }[] | null>(null);
  const items = $derived(
    dragging ?? open.slice(0, SHOWN).map((number) => ({ id: String(number), number }))
  );
  const keep = (numbers: readonly number[]) => {
    const driven = desk.order.filter((number) => desk.stateOf(number)?.driven);
    desk.setOrder(desk.school, [...driven, ...numbers, ...open.slice(SHOWN)]);
  };
  function move(at: number, by: number): void {
    const numbers = open.slice(0, SHOWN);
    const [number] = numbers.splice(at, 1);
    if (number === undefined) return;
    numbers.splice(Math.max(0, Math.min(numbers.length, at + by)), 0, number);
    keep(numbers);
  }
  function moved(event: KeyboardEvent, at: number): void {
    const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    if (by === 0) return;
    event.preventDefault();
    const { currentTarget } = event;
    move(at, by);
    requestAnimationFrame(() => currentTarget instanceof HTMLElement && currentTarget.focus());
  }
</script>

<section class="rows" aria-label="Driving order">
  <Choice
    label="Order"
    value={desk.school}
    options={SCHOOLS}
    onchoose={(school: OrderSchool) => desk.setOrder(school, null)}
  />
  <p class="even-digits" data-testid="path">
    longest jump <strong>{preferences.inWords(desk.path.longestJumpIn)}</strong> · path
    <strong>{preferences.inWords(desk.path.totalPathIn)}</strong>
    {#if desk.byHand}· manual order{/if}
  </p>
  {#if arithmetic && !desk.byHand}<Arithmetic
      work={desk.orderWork}
      source="center outward, skipping"
    />{/if}
  {#if desk.tooSoon.length > 0}
    <Notice
      level="attention"
      title="Adjacent rivets driven one after another"
      text="{desk.tooSoon
        .slice(0, 4)
        .map(({ first, second }) => `${first} then ${second}`)
        .join(', ')}{desk.tooSoon.length > 4
        ? ` and ${desk.tooSoon.length - 4} more`
        : ''}: sheets creep and bulge between them. Skip rivets and return."
    />
  {/if}
  {#if desk.byHand}
    <button class="act" type="button" onclick={() => desk.setOrder(desk.school, null)}
      >{DRIVE.backToTheOrderOf}</button
    >
  {/if}
  <ol
    data-testid="order"
    use:dragOrder={{ items, flipDurationMs: 120, dropTargetStyle: {} }}
    onconsider={({ detail }) => (dragging = detail.items)}
    onfinalize={({ detail }) => {
      dragging = null;
      keep(detail.items.map(({ number }) => number));
    }}
  >
    {#each items as { id, number }, at (id)}
      <li data-order={number}>
        <span
          class="grip"
          aria-label="Rivet {number}, place {at + 1}: drag, or move with the arrow keys"
          use:orderHandle
          onkeydowncapture={(event) => moved(event, at)}>⠿</span
        >
        <button class="pick" type="button" onclick={() => desk.point(number)}
          ><strong>{number}</strong></button
        >
        {#if desk.holders.moves.has(number)}<span
            class="out"
            data-hint="remove its temporary fastener first">□</span
          >{/if}
      </li>
    {/each}
  </ol>
  {#if open.length > SHOWN}<p class="hint">and {open.length - SHOWN} after these</p>{/if}
</section>

<style>
  ol {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(118px, 1fr));
    gap: 4px;
    max-height: 300px;
    overflow-y: auto;
    padding: 0;
    list-style: none;
  }
  li {
    display: flex;
    align-items: center;
    border: 1.5px solid var(--line);
    border-radius: 8px;
    background: var(--panel);
    font-variant-numeric: tabular-nums;
  }
  .grip {
    display: grid;
    place-items: center;
    min-width: 44px;
    min-height: 44px;
    cursor: grab;
    color: var(--ink-soft);
  }
  .out {
    padding-inline: 4px;
  }
  .pick {
    flex: 1;
    min-width: 44px;
    min-height: 44px;
    text-align: left;
    cursor: pointer;
  }
</style>
