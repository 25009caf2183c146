<script lang="ts">
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
  <p class="hint">No rivets yet: they are counted once a joint can be laid out.</p>
{:else}
  <div class="wide">
    <table class="figures" data-testid="bill">
      <thead>
        <tr>
          <th>Rivet</th>
          <th>Needed</th>
          <th>Spares</th>
          <th>To draw</th>
          <th>In the bins</th>
          <th>Short</th>
          <th>Mass, lb</th>
        </tr>
      </thead>
      <tbody>
        {#each bill.result.lines as line (line.partNumber)}
          <tr data-part={line.partNumber}>
            <th scope="row">{line.partNumber}</th>
            <td>{line.needed}</td>
            <td>{line.spares}</td>
            <td><strong>{line.toDraw}</strong></td>
            <td>{line.onHand ?? '—'}</td>
            <td class:short={(line.short ?? 0) > 0}
              >{line.short === null ? '—' : line.short > 0 ? `✕ ${line.short}` : '✓ none'}</td
            >
            <td>{line.massLb.toFixed(4)}</td>
          </tr>
        {/each}
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">All</th>
          <td>{total}</td>
          <td colspan="4"></td>
          <td>{bill.result.massLb.toFixed(4)}</td>
        </tr>
      </tfoot>
    </table>
  </div>
  <button class="act" type="button" aria-expanded={open} onclick={() => (open = !open)}
    >Σ Arithmetic</button
  >
  {#if open}<Arithmetic
      work={bill.work}
      source="spares: a tenth, at least 5; mass: shank and head at 0.100 lb/in³"
    />{/if}
{/if}

<style>
  .wide {
    overflow-x: auto;
  }
</style>
