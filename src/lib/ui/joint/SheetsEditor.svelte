<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Plus from '@lucide/svelte/icons/plus';
  import type { DndEvent } from 'svelte-dnd-action';
  import { GAUGES_IN, OLDER_GAUGES_IN } from '$core/catalog/gauges.ts';
  import { newSheet, type EnteredSheet } from '$core/joint/sheets.ts';
  import { useWorkspace, type Change } from '$lib/client/workspace.svelte';
  import { nextId } from '$core/joint/item-id.ts';
  import { kindOf } from '$core/kinds/joint.ts';
  import { dragOrder } from '../kit/drag-order';
  import SheetRow from './SheetRow.svelte';

  /** The sheets of the stack in order, the one under the manufactured head first. */
  interface Props {
    detail?: boolean;
  }
  let { detail = false }: Props = $props();
  const preferences = usePreferences();
  const workspace = useWorkspace();
  const entered = $derived(workspace.entered);
  const sheets = $derived(entered.sheets);
  const roles = $derived(kindOf(entered).roles);
  const varies = $derived(roles.vary);
  const layered = $derived(roles.layered && (detail || roles.tapers === true));
  const MOST = 8;
  const LEAST = 2;
  const FLIP_MS = 120;

  // sheets whose place is their role stand outside what can be dragged
  const firstFree = $derived(roles.first);
  const lastFree = $derived(sheets.length - roles.last);
  let dragged = $state.raw<EnteredSheet[] | null>(null);
  const items = $derived(dragged ?? sheets.slice(firstFree, lastFree));

  const write = (changed: EnteredSheet[]) =>
    workspace.edit({ sheets: changed } as Change, 'sheets');
  function add(): void {
    const made = newSheet(`sheet ${sheets.length + 1}`, '', nextId(sheets, 'sheet'));
    write([...sheets.slice(0, lastFree), made, ...sheets.slice(lastFree)]);
  }
  const remove = (id: string) => write(sheets.filter((sheet) => sheet.id !== id));
  function move(index: number, by: number): void {
    const to = index + by;
    const [taken, other] = [sheets[index], sheets[to]];
    if (to < firstFree || to >= lastFree || !taken || !other) return;
    write(sheets.map((sheet, at) => (at === to ? taken : at === index ? other : sheet)));
  }
  function drop(event: CustomEvent<DndEvent<EnteredSheet>>): void {
    const order = event.detail.items;
    dragged = null;
    if (order.some(({ id }, at) => id !== sheets[firstFree + at]?.id))
      write([...sheets.slice(0, firstFree), ...order, ...sheets.slice(lastFree)]);
  }
</script>

{#snippet row(sheet: EnteredSheet, index: number, free: boolean)}
  <SheetRow
    {sheet}
    {index}
    {detail}
    {layered}
    onremove={varies && sheets.length > LEAST ? () => remove(sheet.id) : null}
    onmove={free && items.length > 1 ? (by) => move(index, by) : null}
  />
{/snippet}

<fieldset class="sheets">
  <legend class="label">Sheets, from the manufactured head side</legend>
  <datalist id="gauges">
    {#each GAUGES_IN as gauge (gauge)}<option value={preferences.offered(gauge.toFixed(3))}
      ></option>{/each}
    {#each OLDER_GAUGES_IN as gauge (gauge)}<option value={preferences.offered(gauge.toFixed(3))}
        >older</option
      >{/each}
  </datalist>
  {#each sheets.slice(0, firstFree) as sheet, index (sheet.id)}{@render row(
      sheet,
      index,
      false
    )}{/each}
  {#if items.length > 1}
    <div
      class="zone"
      use:dragOrder={{
        items,
        flipDurationMs: FLIP_MS,
        dropTargetStyle: {},
        type: 'sheets'
      }}
      onconsider={(event) => (dragged = event.detail.items)}
      onfinalize={drop}
      aria-label="Order of the sheets"
    >
      {#each items as item, at (item.id)}
        <div>{@render row(item, firstFree + at, true)}</div>
      {/each}
    </div>
  {:else}
    {#each items as item, at (item.id)}{@render row(item, firstFree + at, false)}{/each}
  {/if}
  {#each sheets.slice(lastFree) as sheet, at (sheet.id)}{@render row(
      sheet,
      lastFree + at,
      false
    )}{/each}
  {#if varies && sheets.length < MOST}
    <button class="act add" type="button" onclick={add}><Plus size={18} /> Sheet</button>
  {/if}
</fieldset>

<style>
  .sheets,
  .zone {
    display: flex;
    flex-direction: column;
    gap: 4px;
    min-width: 0;
  }
  .add {
    align-self: flex-start;
  }
</style>
