<script lang="ts">
  import { READY } from '$lib/words/pages/prepare';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { untrack } from 'svelte';
  import { OPERATION_KEYS, operationTime, OPERATIONS } from '$core/prepare/operations.ts';
  import { OwnFigures } from '$lib/api/shop.ts';
  import { problemsOf } from '$core/schema/read.ts';
  import { typedNumber } from '$core/units/typed-number.ts';
  import { usePrepareDesk } from '$lib/stations/prepare/prepare-desk.svelte';
  import Sheet from '../../ui/kit/Sheet.svelte';

  /** The shop's own times and sheet holders; for all joints. */
  interface Props {
    open: boolean;
    onclose: () => void;
  }
  let { open, onclose }: Props = $props();
  const preferences = usePreferences();
  const desk = usePrepareDesk();
  const text = (value: number | undefined) => (value === undefined ? '' : String(value));
  let holders = $state(
    untrack(() => ({
      every: text(desk.figures.holders.every),
      pilot: text(desk.figures.holders.pilot),
      final: text(desk.figures.holders.final)
    }))
  );
  let recheckEvery = $state(untrack(() => text(desk.figures.recheckEvery)));
  let times = $state<Record<string, string>>(
    untrack(() =>
      Object.fromEntries(OPERATION_KEYS.map((op) => [op, text(desk.figures.times[op])]))
    )
  );
  const number = (typed: string | undefined) => typedNumber(typed ?? '');
  const draft = $derived(
    OwnFigures.safeParse({
      times: Object.fromEntries(
        OPERATION_KEYS.filter((op) => (times[op] ?? '').trim() !== '').map((op) => [
          op,
          number(times[op])
        ])
      ),
      holders: {
        every: number(holders.every),
        pilot: number(holders.pilot),
        final: number(holders.final)
      },
      recheckEvery: number(recheckEvery)
    })
  );
  const problems = $derived(draft.success ? [] : problemsOf(draft.error));
  async function save(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (draft.success && (await desk.setFigures(draft.data))) onclose();
  }
  const WHO = { recorded: 'recorded', shop: 'set here', starting: 'starting estimate' };
  const HOLDERS = [
    { key: 'every', label: 'Temporary fastener every … holes' },
    { key: 'pilot', label: READY.holdersFor40 },
    { key: 'final', label: 'Final-size temporary fasteners' }
  ] as const;
</script>

<Sheet title="Shop times and temporary fasteners" {open} {onclose}>
  <form class="rows-wide" onsubmit={save}>
    <div class="holders">
      {#each HOLDERS as field (field.key)}
        <label
          ><span class="label">{field.label}</span>
          <input class="field-box" inputmode="numeric" bind:value={holders[field.key]} /></label
        >
      {/each}
      <label
        ><span class="label">Re-check countersink every … holes</span>
        <input class="field-box" inputmode="numeric" bind:value={recheckEvery} /></label
      >
    </div>
    <table class="figures">
      <thead><tr><th>Operation</th><th>Current time, s</th><th>Manual time, s</th></tr></thead>
      <tbody>
        {#each OPERATION_KEYS as op (op)}
          {@const now = operationTime(op, desk.figures.times, desk.recorded)}
          <tr>
            <th scope="row">{OPERATIONS[op].words} <small>per {OPERATIONS[op].per}</small></th>
            <td>{Math.round(now.secondsEach * 10) / 10} s<small>&nbsp;{WHO[now.from]}</small></td>
            <td
              ><input
                class="field-box"
                inputmode="decimal"
                data-testid="seconds-{op}"
                aria-label="Seconds for {OPERATIONS[op].words}"
                bind:value={times[op]}
              /></td
            >
          </tr>
        {/each}
      </tbody>
    </table>
    <p class="hint">
      Three recorded times override the manual time. “Start timer” on a step records one.
    </p>
    {#each problems as problem (problem.path)}<p class="fails" role="alert">
        {preferences.refusal(problem.said)}
      </p>{/each}
    {#if desk.figuresRefusal !== ''}<p class="fails" role="alert">{desk.figuresRefusal}</p>{/if}
    <button class="act main" disabled={!draft.success}>{READY.keepForTheShop}</button>
  </form>
</Sheet>

<style>
  .holders {
    display: grid;
    grid-template-columns: repeat(4, minmax(0, 1fr));
    gap: 8px;
    align-items: end;
  }
  td input {
    max-width: 7rem;
    margin-left: auto;
  }
  small {
    color: var(--ink-soft);
    font-weight: 400;
  }
</style>
