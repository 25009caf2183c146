<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { CHECK } from '$lib/words/pages/inspect';
  import { SeenInHole } from '$core/reworking/rework-moves.ts';
  import { flushAt } from '$core/release/flush-at.ts';
  import { parseLength } from '$core/units/parse-length.ts';
  import { told } from '$core/refusal-said.ts';
  import type { Dash, Head } from '$core/schema/fields.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { drillIn } from '$core/catalog/drills.ts';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { ReworkDesk } from '../rework-desk.svelte';
  import Arithmetic from '../../../ui/kit/Arithmetic.svelte';
  import LengthField from '../../../ui/kit/LengthField.svelte';
  import Notice from '../../../ui/kit/Notice.svelte';
  import Toggles from '../../../ui/kit/Toggles.svelte';
  import RoomSketch from './RoomSketch.svelte';
  import { decisionInWords, SEEN_IN_HOLE } from '$lib/words/rework';

  /** An empty hole measured at its widest, and what becomes of it, with every check. */
  interface Props {
    rework: ReworkDesk;
    hole: number;
    dash: Dash;
    head: Head;
  }
  let { rework, hole, dash, head }: Props = $props();
  const preferences = usePreferences();
  const typed = $derived(rework.fieldsOf(hole));
  const widest = $derived(typed.of('widest'));
  const tooDeep = $derived(typed.of('too-deep'));
  const seen = $derived(
    SeenInHole.options.filter((one) => typed.of('seen').split(' ').includes(one))
  );
  const valueOf = (text: string) => {
    const read = parseLength(text);
    return read.ok && read.valueIn > 0 ? read.valueIn : null;
  };
  const found = $derived.by(() => {
    const widestIn = valueOf(widest);
    const deepIn = tooDeep.trim() === '' ? null : valueOf(tooDeep);
    if (widestIn === null || (tooDeep.trim() !== '' && deepIn === null)) return null;
    return { widestIn, tooDeepIn: deepIn, seen };
  });
  const decided = $derived(found && rework.decided(hole, found));
  const said = $derived(decided?.ok ? decisionInWords(decided.result, preferences.inWords) : null);
  const readings = $derived(rework.state.holes.get(hole)?.readings ?? []);
  const drill = $derived(rivetSize(dash).drill[rework.asReleased.facts.rules?.drill ?? 'close']);
  const room = $derived(
    rework.asReleased.holes.find(({ number }) => number === hole)?.room ?? null
  );
  /** of a dimpled hole nothing is asked about a countersink */
  const dimpled = $derived(flushAt(rework.asReleased.facts, { dash, room })?.seat === 'dimpled');
  const wrong = (text: string) =>
    text.trim() !== '' && valueOf(text) === null
      ? { said: told(COMMON.noLength), instead: null }
      : undefined;
</script>

<section class="empty" data-testid="empty-hole">
  <h3>
    {readings.length === 0 ? `Hole ${hole} is empty` : `Measure hole ${hole} again`}
  </h3>
  <p class="hint">
    Measure the largest diameter in two directions. Drill size: {drill} ({preferences.inWords(
      drillIn(drill)
    )}).
  </p>
  <div class="fields">
    <LengthField
      label={CHECK.widest}
      value={widest}
      problem={wrong(widest)}
      oninput={(text) => typed.type('widest', text)}
    />
    {#if head === 'countersunk' && !dimpled}
      <LengthField
        label="Countersink too deep by"
        value={tooDeep}
        whenEmpty="none"
        problem={wrong(tooDeep)}
        oninput={(text) => typed.type('too-deep', text)}
      />
    {/if}
  </div>
  <Toggles
    label="Hole damage"
    value={seen}
    options={SeenInHole.options.map((value) => ({ value, text: SEEN_IN_HOLE[value] }))}
    onchange={(chosen) => typed.type('seen', chosen.join(' '))}
  />
  {#if decided && !decided.ok}
    <Notice
      level="attention"
      title="Not decided here"
      text="{preferences.refusal(decided.error.said)}."
    />
  {:else if decided?.ok && said && found}
    <div
      class="decision"
      class:refer={decided.result.decision === 'refer'}
      data-testid="decision"
      data-decision={decided.result.decision}
    >
      <strong>{decided.result.decision === 'refer' ? '◇' : '→'} {said.title}</strong>
      <p>{said.why}.</p>
    </div>
    {#if room}<RoomSketch {room} {dash} rivet={decided.result.rivet} holeIn={found.widestIn} />{/if}
    <Arithmetic work={[...decided.work]} source="the rules of this release" />
    <button
      class="act main"
      type="button"
      onclick={() => {
        if (rework.add({ kind: 'measured', hole, ...found }))
          typed.clear('widest', 'too-deep', 'seen');
      }}
      >{decided.result.decision === 'refer'
        ? CHECK.logItAndRefer
        : 'Record and use this rivet'}</button
    >
  {/if}
  {#if readings.length === 0}
    <button class="act" type="button" onclick={() => rework.add({ kind: 'still-in', hole })}
      >Undo: rivet was not removed</button
    >
  {/if}
</section>

<style>
  .empty {
    display: flex;
    flex-direction: column;
    gap: 8px;
    padding: 10px 12px;
    border: 2px solid var(--amber-line);
    border-radius: 10px;
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(130px, 1fr));
    gap: 10px;
  }
  .decision {
    padding: 8px 12px;
    border: 2px solid var(--olive);
    border-radius: 8px;
    background: var(--olive-soft);
  }
  .decision.refer {
    border-color: var(--dye);
    background: var(--dye-soft);
  }
  .decision strong {
    font-size: 1.15rem;
  }
</style>
