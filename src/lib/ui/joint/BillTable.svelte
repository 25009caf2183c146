<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import Mark from '../marks/Mark.svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { Answer } from '$core/answer.ts';
  import type { BillOfRivets } from '$core/stack/bill-of-rivets.ts';
  import Arithmetic from '../kit/Arithmetic.svelte';

  /** What to draw from stock, line by line, with what is there and what is short. */
  interface Props {
    bill: Answer<BillOfRivets>;
  }
  let { bill }: Props = $props();
  const preferences = usePreferences();
  let open = $state(false);
  const total = $derived(
    bill.ok ? bill.result.lines.reduce((sum, { needed }) => sum + needed, 0) : 0
  );
</script>

{#if !bill.ok}
  <p>{preferences.refusal(bill.error.said)}</p>
{:else if bill.result.lines.length === 0}
  <p class="hint">No rivets yet. They are counted when the layout is complete.</p>
{:else}
  <div class="scrolls-across">
    <table class="figures" data-testid="bill">
      <thead>
        <tr>
          <th>Rivet</th>
          <th>Required</th>
          <th>Spares</th>
          <th>Issue qty</th>
          <th>In stock</th>
          <th>Short</th>
          <th>Mass, lb</th>
        </tr>
      </thead>
      <tbody>
        {#each bill.result.lines as line (line.partNumber)}
          <tr data-part={line.partNumber}>
            <th scope="row">{line.partNumber}</th>
            <td data-head="Required">{line.needed}</td>
            <td data-head="Spares">{line.spares}</td>
            <td data-head="Issue qty"><strong>{line.toDraw}</strong></td>
            <td data-head="In stock">{line.onHand ?? '—'}</td>
            <td data-head="Short" class:short={(line.short ?? 0) > 0}
              >{line.short === null ? '—' : line.short > 0 ? `✕ ${line.short}` : '✓ none'}</td
            >
            <td data-head="Mass, lb">{line.massLb.toFixed(4)}</td>
          </tr>
        {/each}
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">All</th>
          <td data-head="Needed">{total}</td>
          <td class="none" colspan="4"></td>
          <td data-head="Mass, lb">{bill.result.massLb.toFixed(4)}</td>
        </tr>
      </tfoot>
    </table>
  </div>
  <button class="act" type="button" aria-expanded={open} onclick={() => (open = !open)}
    ><Mark name="arithmetic" size={20} /> {COMMON.arithmetic}</button
  >
  {#if open}<Arithmetic
      work={bill.work}
      source="spares: a tenth, at least 5; mass: shank and head at 0.100 lb/in³"
    />{/if}
{/if}

<style>
  @media (max-width: 600px) {
    table,
    tbody,
    tfoot {
      display: block;
    }
    thead,
    .none {
      display: none;
    }
    tr {
      display: grid;
      grid-template-columns: repeat(3, minmax(0, 1fr));
      padding-block: 6px;
      border-bottom: 1px solid var(--line);
    }
    th {
      grid-column: 1 / -1;
    }
    td {
      display: grid;
      justify-items: start;
    }
    td::before {
      content: attr(data-head);
      color: var(--ink-soft);
      font-size: var(--small);
      font-weight: normal;
    }
  }
</style>
