<script lang="ts">
  import { LAYOUT } from '$lib/words/pages/layout';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { pickUp, PickUpInput, TAPE_ERROR_IN } from '$core/layout/pick-up.ts';
  import { FURTHEST_OFF_IN, takeUp, type FoundHole } from '$core/edit/take-up.ts';
  import { newIds } from '$core/joint/item-id.ts';
  import { readInput } from '$core/schema/read.ts';
  import { parseLength } from '$core/units/parse-length.ts';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import Choice from '../../ui/kit/Choice.svelte';
  import Length from '../../ui/kit/Length.svelte';
  import LengthField from '../../ui/kit/LengthField.svelte';
  import type { EnteredJoint } from '$core/kinds/joint.ts';
  import { EXISTING_STATE_OPTIONS } from '$lib/words/existing-holes';
  import Pick from '../../ui/kit/Pick.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import Sheet from '../../ui/kit/Sheet.svelte';
  import PickUpFile from './PickUpFile.svelte';
  import Tabs from '../../ui/kit/Tabs.svelte';

  /** Existing holes come in as fixed holes: by running distances, by two tapes, or from a drawing. */
  interface Props {
    open: boolean;
    onclose: () => void;
  }
  let { open, onclose }: Props = $props();
  const preferences = usePreferences();
  const workspace = useWorkspace();
  const layout = $derived(
    workspace.shown?.plan.layout.ok ? workspace.shown.plan.layout.result : null
  );
  const lines = $derived(layout?.lines ?? []);
  let way = $state<'running' | 'tapes' | 'file'>('running');
  /** how all that are taken up together were found */
  let asFound = $state<{ state: EnteredJoint['fixed'][number]['state']; holeIn: string }>({
    state: '',
    holeIn: ''
  });
  let said = $state('');
  let refusal = $state('');

  function add(found: readonly FoundHole[], name: string): void {
    const { fixed: taken, left } = takeUp(found, workspace.entered.fixed, lines, name);
    const fixed = taken.map((hole) => ({ ...hole, ...asFound }));
    refusal = '';
    said = '';
    if (fixed.length > 0)
      workspace.edit({ fixed: [...workspace.entered.fixed, ...fixed] }, 'fixed pick up');
    if (fixed.length > 0) said = `${fixed.length} fixed hole${fixed.length > 1 ? 's' : ''} added.`;
    if (left.length > 0)
      refusal = `${left.length} hole${left.length > 1 ? 's' : ''} not on a rivet row: nearest, ${left[0]?.line ?? 'none'}, is ${Number.isFinite(left[0]?.offIn) ? preferences.inWords(Math.abs(left[0]?.offIn ?? 0), 'fine') : 'not beside it'} off; up to ${preferences.inWords(FURTHEST_OFF_IN)} is accepted.`;
  }

  let lineKey = $state('');
  let distances = $state('');
  const read = $derived(
    preferences
      .typed(distances)
      .split(/[;\n]+|,\s+/)
      .map((text) => text.trim())
      .filter((text) => text !== '')
      .map((text) => ({ text, read: parseLength(text) }))
  );
  const wrong = $derived(read.filter((one) => !one.read.ok));
  function addRunning(): void {
    const line = lines.find(({ key }) => key === lineKey) ?? lines[0];
    if (!line) return;
    const before = workspace.entered.fixed;
    const fixed: typeof before = [];
    const ids = newIds(before, 'found');
    for (const one of read)
      if (one.read.ok)
        fixed.push({
          id: ids(),
          kind: 'existing',
          line: line.key,
          name: '',
          atIn: one.text,
          offIn: '',
          ...asFound
        });
    workspace.edit({ fixed: [...before, ...fixed] }, 'fixed pick up');
    said = `${fixed.length} holes added on the ${line.name}.`;
    distances = '';
  }

  const tape = $state({ ax: '0', ay: '0', bx: '', by: '0', a: '', b: '' });
  let side = $state<'left' | 'right'>('right');
  const complete = $derived(Object.values(tape).every((text) => text.trim() !== ''));
  // y runs down on the plan and up in the calculation: what is right of A → B on the plan is left there.
  const met = $derived.by(() => {
    if (!complete) return null;
    const down = (text: string) => {
      const length = parseLength(text);
      return length.ok ? -length.valueIn : text;
    };
    const input = readInput(PickUpInput, {
      datumA: { xIn: tape.ax, yIn: down(tape.ay) },
      datumB: { xIn: tape.bx, yIn: down(tape.by) },
      fromAIn: tape.a,
      fromBIn: tape.b,
      side
    });
    return input.ok ? pickUp(input.value) : input;
  });
</script>

<Sheet title={LAYOUT.pickUpExistingHoles} {open} {onclose}>
  <div class="grid">
    <Pick
      label={LAYOUT.foundAs}
      value={asFound.state}
      options={EXISTING_STATE_OPTIONS}
      onchoose={(state) => (asFound.state = state)}
    />
    {#if asFound.state !== 'riveted'}
      <LengthField
        label={LAYOUT.holeMeasured}
        value={asFound.holeIn}
        whenEmpty={LAYOUT.allOfThem}
        oninput={(text) => (asFound.holeIn = text)}
      />
    {/if}
  </div>
  {#if said}<p role="status" class="said">✓ {said}</p>{/if}
  {#if refusal}<Notice level="stop" title="Not added" text={refusal} />{/if}

  <Tabs
    label="Measured by"
    value={way}
    options={[
      { value: 'running', text: 'Running distances' },
      { value: 'tapes', text: LAYOUT.fromTwoPoints },
      { value: 'file', text: LAYOUT.aDrawingOrTable }
    ]}
    onchoose={(value) => (way = value)}
  >
    {#if way === 'running'}
      <form
        onsubmit={(event) => {
          event.preventDefault();
          addRunning();
        }}
      >
        {#if lines.length > 1}
          <select class="field-box" aria-label="On the line" bind:value={lineKey}>
            {#each lines as line (line.key)}<option value={line.key}>{line.name}</option>{/each}
          </select>
        {/if}
        <label class="label" for="running">{LAYOUT.distancesFromTheLinesBeginning}</label>
        <textarea
          id="running"
          class="field-box"
          rows="4"
          bind:value={distances}
          placeholder="1 1/4; 3 5/8; 152mm"></textarea>
        {#if wrong.length > 0}<p class="hint wrong">
            △ {wrong.map(({ text }) => text).join(', ')}: no length. Write 3/32, .094, 1 1/8, 2.4mm.
          </p>{/if}
        <button
          data-testid="take-up"
          class="act main"
          disabled={read.length === 0 || wrong.length > 0}
          >Add {read.length} hole{read.length === 1 ? '' : 's'}</button
        >
      </form>
    {:else if way === 'tapes'}
      <p class="hint">
        Enter two known points, A and B, right and down from the datum corner, and the distance from
        each to the hole.
      </p>
      <div class="grid">
        <LengthField label="A, right" value={tape.ax} oninput={(text) => (tape.ax = text)} />
        <LengthField label="A, down" value={tape.ay} oninput={(text) => (tape.ay = text)} />
        <LengthField label="B, right" value={tape.bx} oninput={(text) => (tape.bx = text)} />
        <LengthField label="B, down" value={tape.by} oninput={(text) => (tape.by = text)} />
        <LengthField label="Tape from A" value={tape.a} oninput={(text) => (tape.a = text)} />
        <LengthField label="Tape from B" value={tape.b} oninput={(text) => (tape.b = text)} />
      </div>
      <Choice
        label="Side of line A–B"
        value={side}
        options={[
          { value: 'left', text: 'Left' },
          { value: 'right', text: 'Right' }
        ]}
        onchoose={(value) => (side = value)}
      />
      {#if met?.ok}
        <p data-testid="met">
          The hole is <strong><Length lengthIn={met.result.at.xIn} /></strong> right and
          <strong><Length lengthIn={-met.result.at.yIn} /></strong> down{met.result.errorIn === null
            ? '; the tapes run along one line: measure from other points'
            : `, within ± ${preferences.inWords(met.result.errorIn, 'fine')} if each tape is read to ${preferences.inWords(TAPE_ERROR_IN)}`}.
        </p>
        <Arithmetic work={met.work} />
        <button
          class="act main"
          type="button"
          onclick={() =>
            add(
              [{ xIn: met.result.at.xIn, yIn: -met.result.at.yIn, diameterIn: null }],
              'from two points'
            )}>{LAYOUT.takeItUp}</button
        >
      {:else if met}
        <Notice
          level="stop"
          title="Distances do not meet"
          text={preferences.refusal(met.error.said)}
        />
      {/if}
    {:else}
      <PickUpFile
        {layout}
        ontake={add}
        onsaid={(text) => (said = text)}
        onrefused={(text) => (refusal = text)}
      />
    {/if}
  </Tabs>
</Sheet>

<style>
  form,
  .grid {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px;
  }
  .said {
    color: var(--olive-deep);
    font-weight: 700;
  }
  .wrong {
    color: var(--amber);
  }
</style>
