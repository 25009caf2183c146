<script lang="ts">
  import TermText from '../../ui/kit/TermText.svelte';
  import { COMMON } from '$lib/words/pages/common';
  import { STACK } from '$lib/words/pages/stack';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { Dash } from '$core/schema/fields.ts';
  import type { StackView } from '$core/plan/stack-view.ts';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { lengthVerdictInWords } from '$lib/words/stacks';

  /** Lengths beside the chosen one: what each would stand out and make, and what it risks. */
  interface Props {
    view: StackView;
    dash: Dash;
    school: string;
    /** counts by part number; null while the stock is not known */
    onHand: Readonly<Record<string, number>> | null;
    arithmetic: boolean;
    /** something stops the joint: no length is good then */
    stopped: boolean;
  }
  let { view, dash, school, onHand, arithmetic, stopped }: Props = $props();
  const preferences = usePreferences();
  const D = $derived(rivetSize(dash).diameterIn);
  /** the school's own length, should the table be taller than its room */
  const inSight = (row: HTMLElement) => {
    const box = row.closest('[role=region]');
    if (box) box.scrollTop = row.offsetTop - (box.clientHeight - row.offsetHeight) / 2;
  };
  const WORDS = $derived({
    good: stopped ? STACK.wouldFit : COMMON.good,
    attention: '△ marginal',
    stop: '✕ reject'
  });
</script>

<div class="lengths" data-testid="lengths">
  <table>
    <thead>
      <tr>
        <th>Rivet</th>
        <th><TermText text="Protrusion" /></th>
        <th>Diameter at ½ D height</th>
        <th><TermText text="Driven height" /></th>
        <th>Result</th>
        <th>In stock</th>
      </tr>
    </thead>
    <tbody>
      {#each view.candidates as length (length.partNumber)}
        <tr
          {@attach length.picked && inSight}
          class:picked={length.picked}
          data-length={length.lengthDash}
        >
          <th scope="row"
            >{length.partNumber}{#if length.picked}<small>school: {school}</small>{/if}</th
          >
          <td data-name="protrusion"
            >{preferences.text(length.protrusionIn)}<small>{length.protrusionD.toFixed(2)} D</small
            ></td
          >
          {#if length.head.ok}
            {@const { diameterAtHalfDIn, heightBandD } = length.head.result}
            <td data-name="head at ½ D"
              >{preferences.text(diameterAtHalfDIn)}<small
                >{(diameterAtHalfDIn / D).toFixed(2)} D wide</small
              ></td
            >
            <td data-name="stop at"
              >{#if heightBandD}{preferences.text(heightBandD.low * D)} to {preferences.text(
                  heightBandD.high * D
                )}<small>{heightBandD.low.toFixed(2)}–{heightBandD.high.toFixed(2)} D</small
                >{:else}none{/if}</td
            >
          {:else}
            <td colspan="2">too short to form a head</td>
          {/if}
          <td class="verdict {length.verdict}"
            >{WORDS[length.verdict]}<small>{lengthVerdictInWords(length)}</small></td
          >
          <td class="stock" data-name="in stock"
            >{onHand === null ? '—' : (onHand[length.partNumber] ?? 0)}</td
          >
        </tr>
        {#if arithmetic}
          <tr><td colspan="6"><Arithmetic work={length.work} source="volume is constant" /></td></tr
          >
        {/if}
      {/each}
    </tbody>
  </table>
</div>

<style>
  table {
    width: 100%;
    border-collapse: collapse;
    font-variant-numeric: tabular-nums;
    background: var(--panel);
  }
  th,
  td {
    padding: 4px 8px;
    text-align: left;
    vertical-align: top;
    border-bottom: 1px solid var(--line);
    white-space: nowrap;
  }
  thead th {
    position: sticky;
    top: 0;
    background: var(--panel);
    font-size: var(--small);
    color: var(--ink-soft);
  }
  td:nth-child(5) {
    white-space: normal;
    min-width: 13rem;
  }
  small {
    display: block;
    font-weight: 400;
    color: var(--ink-soft);
    font-size: var(--small);
  }
  /* each length a card, led by its verdict and what is in stock */
  @container (max-width: 640px) {
    thead {
      display: none;
    }
    tbody {
      display: flex;
      flex-direction: column;
    }
    .picked {
      order: -1;
    }
    tr[data-length] {
      display: grid;
      grid-template-columns: repeat(3, minmax(0, 1fr));
      gap: 0 8px;
      padding: 8px;
      border-bottom: 1.5px solid var(--line);
    }
    tr[data-length] :is(th, td) {
      padding: 2px 4px;
      border: 0;
      white-space: normal;
    }
    tr[data-length] th {
      grid-column: 1 / 3;
      order: -3;
    }
    .stock {
      order: -2;
    }
    .verdict {
      grid-column: 1 / -1;
      order: -1;
      font-weight: 700;
    }
    td[data-name]::before {
      content: attr(data-name) ' ';
      display: block;
      color: var(--ink-soft);
      font-size: var(--small);
    }
  }
  .picked {
    background: var(--olive-soft);
  }
  .good {
    color: var(--olive-deep);
  }
  .attention {
    color: var(--amber);
  }
  .stop {
    color: var(--brick);
  }
</style>
