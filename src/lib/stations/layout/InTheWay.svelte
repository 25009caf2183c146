<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { LAYOUT } from '$lib/words/pages/layout';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { withoutFixed } from '$core/edit/hole-edits.ts';
  import { nextId } from '$core/joint/item-id.ts';
  import type { EnteredJoint, EnteredOf } from '$core/kinds/joint.ts';
  import type { Dash } from '$core/schema/fields.ts';
  import { RIVET_SIZES } from '$core/catalog/rivets.ts';
  import { useWorkspace, type Change } from '$lib/client/workspace.svelte';
  import LengthField from '../../ui/kit/LengthField.svelte';
  import { EXISTING_STATES, existingInWords } from '$lib/words/existing-holes';
  import RowList from './RowList.svelte';
  import { TOOL_CLEARANCE_IN } from '$core/joint/common.ts';

  /** What the rivet lines must go round or take in: keep-outs, fixed holes, divided spans, size zones. */
  interface Props {
    onpickup: () => void;
  }
  let { onpickup }: Props = $props();
  const preferences = usePreferences();
  const workspace = useWorkspace();
  const entered = $derived(workspace.entered);
  const layout = $derived(
    workspace.shown?.plan.layout.ok ? workspace.shown.plan.layout.result : null
  );
  const lines = $derived(layout?.lines ?? []);
  /** what each existing hole is for its rivet, by its id */
  const existing = $derived.by(() => {
    const plan = workspace.shown?.plan;
    const ids = new Map(plan?.holes.map(({ number, fixed }) => [number, fixed]));
    return new Map(plan?.existing.map((one) => [ids.get(one.hole) ?? '', one]));
  });
  const middle = $derived({ x: (layout?.widthIn ?? 4) / 2, y: (layout?.heightIn ?? 1) / 2 });
  const write = (inches: number) => String(Number(inches.toFixed(4)));
  const line = $derived('divides' in entered ? entered : null);
  const tapered = $derived('zones' in entered ? entered : null);

  const setList = (
    key: 'keepOuts' | 'fixed' | 'divides' | 'zones',
    list: unknown[],
    what: string
  ) => workspace.edit({ [key]: list } as Change, `${key} ${what}`);
  function addKeepOut(): void {
    const keepOut: EnteredJoint['keepOuts'][number] = {
      id: nextId(entered.keepOuts, 'keep-out'),
      name: '',
      shape: 'rect',
      xIn: write(middle.x),
      yIn: write(middle.y),
      wIn: '1/2',
      hIn: ''
    };
    setList('keepOuts', [...entered.keepOuts, keepOut], 'add');
  }
  function addFixed(): void {
    const fixed: EnteredJoint['fixed'][number] = {
      id: nextId(entered.fixed, 'fixed'),
      kind: 'existing',
      line: lines[0]?.key ?? 'row-1',
      name: '',
      atIn: write(middle.x),
      offIn: '',
      state: '',
      holeIn: ''
    };
    setList('fixed', [...entered.fixed, fixed], 'add');
  }
  function addDivide(of: EnteredOf<'line'>): void {
    const [from, to] = of.fixed.slice(-2);
    setList(
      'divides',
      [
        ...of.divides,
        {
          id: nextId(of.divides, 'divide'),
          fromIn: from?.atIn ?? '',
          toIn: to?.atIn ?? '',
          count: '3'
        }
      ],
      'add'
    );
  }
  const addZone = (of: EnteredOf<'tapered'>) =>
    setList('zones', [...of.zones, { id: nextId(of.zones, 'zone'), dash: 4, toIn: '' }], 'add');
  const change = <T extends { id: string }>(
    list: readonly T[],
    id: string,
    part: Partial<T>
  ): T[] => list.map((item) => (item.id === id ? { ...item, ...part } : item));
  const without = <T extends { id: string }>(list: readonly T[], id: string): T[] =>
    list.filter((item) => item.id !== id);
</script>

<RowList
  title="Keep-outs"
  items={entered.keepOuts}
  what="keep-out"
  empty="None. Add stiffeners, drains or other fasteners, and drag them on the drawing."
  onadd={addKeepOut}
  onremove={({ id }) => setList('keepOuts', without(entered.keepOuts, id), 'remove')}
>
  {#snippet row(keepOut, index)}
    <input
      class="field-box"
      data-testid="keep-out-name-{index + 1}"
      aria-label="Name of keep-out {index + 1}"
      placeholder="what it is"
      maxlength="40"
      value={keepOut.name}
      oninput={(event) => workspace.setAt(`keepOuts.${keepOut.id}.name`, event.currentTarget.value)}
    />
    <select
      class="field-box"
      aria-label="Shape of keep-out {index + 1}"
      value={keepOut.shape}
      onchange={(event) =>
        setList(
          'keepOuts',
          change(entered.keepOuts, keepOut.id, {
            shape: event.currentTarget.value === 'round' ? 'round' : 'rect'
          }),
          'shape'
        )}
    >
      <option value="rect">rectangle</option>
      <option value="round">round</option>
    </select>
    {#each [['xIn', LAYOUT.middleRightOfTheDatum, ''], ['yIn', 'Middle, down', ''], ['wIn', keepOut.shape === 'round' ? COMMON.diameter : LAYOUT.width, ''], ['hIn', COMMON.height, 'full width']] as const as [key, label, empty] (key)}
      {#if !(key === 'hIn' && keepOut.shape === 'round')}
        <LengthField
          {label}
          value={keepOut[key]}
          whenEmpty={empty}
          problem={workspace.problemAt(`keepOuts.${keepOut.id}.${key}`)}
          oninput={(text) => workspace.setAt(`keepOuts.${keepOut.id}.${key}`, text)}
        />
      {/if}
    {/each}
  {/snippet}
</RowList>
{#if entered.keepOuts.length > 0}
  <LengthField
    label="Tool clearance round the head"
    value={entered.toolClearanceIn}
    placeholder="1/8"
    whenEmpty="{preferences.inWords(TOOL_CLEARANCE_IN)} beside half the head"
    problem={workspace.problemAt('toolClearanceIn')}
    oninput={(toolClearanceIn) => workspace.edit({ toolClearanceIn }, 'toolClearanceIn')}
  />
{/if}

<RowList
  title="Fixed holes: existing ones, and pinned"
  items={entered.fixed}
  what="fixed hole"
  empty="None. Pick up existing holes or pin a hole."
  onadd={addFixed}
  onremove={({ id }) => workspace.edit(withoutFixed(entered, id), 'fixed remove')}
>
  {#snippet row(fixed, index)}
    <LengthField
      testid="{fixed.kind}-at"
      label="{fixed.kind === 'pinned' ? 'Pinned' : 'Existing'} at, along the line"
      value={fixed.atIn}
      problem={workspace.problemAt(`fixed.${fixed.id}.atIn`)}
      oninput={(text) => workspace.setAt(`fixed.${fixed.id}.atIn`, text)}
    />
    <LengthField
      label="Offset from row"
      value={fixed.offIn}
      placeholder="0"
      whenEmpty="on the line"
      problem={workspace.problemAt(`fixed.${fixed.id}.offIn`)}
      oninput={(text) => workspace.setAt(`fixed.${fixed.id}.offIn`, text)}
    />
    {#if fixed.kind === 'existing'}
      {@const judged = existing.get(fixed.id)}
      <label class="pick">
        <span class="label">{LAYOUT.foundAs}</span>
        <select
          class="field-box"
          data-testid="existing-state-{index + 1}"
          value={fixed.state}
          onchange={(event) =>
            workspace.setAt(`fixed.${fixed.id}.state`, event.currentTarget.value)}
        >
          {#each Object.entries(EXISTING_STATES) as [state, text] (state)}
            <option value={state}>{text}</option>
          {/each}
        </select>
      </label>
      {#if fixed.state !== 'riveted'}
        <LengthField
          testid="existing-hole-{index + 1}"
          label={LAYOUT.holeMeasured}
          value={fixed.holeIn}
          whenEmpty={LAYOUT.notMeasured}
          problem={workspace.problemAt(`fixed.${fixed.id}.holeIn`)}
          oninput={(text) => workspace.setAt(`fixed.${fixed.id}.holeIn`, text)}
        />
      {/if}
      {#if judged}<p class="judged" data-testid="existing-judged-{index + 1}">
          {existingInWords(judged, preferences.inWords)}
        </p>{/if}
    {/if}
    {#if lines.length > 1}
      <select
        class="field-box"
        aria-label="Line of fixed hole {index + 1}"
        value={fixed.line}
        onchange={(event) => workspace.setAt(`fixed.${fixed.id}.line`, event.currentTarget.value)}
      >
        {#each lines as one (one.key)}<option value={one.key}>{one.name}</option>{/each}
      </select>
    {/if}
  {/snippet}
  {#snippet more()}
    <button class="act" type="button" onclick={onpickup}>Pick up existing holes…</button>
  {/snippet}
</RowList>

{#if line}
  <RowList
    title="Divide evenly between two holes"
    items={line.divides}
    what="divided span"
    empty="New holes between two existing ones: n holes make n + 1 spaces."
    onadd={() => addDivide(line)}
    onremove={({ id }) => setList('divides', without(line.divides, id), 'remove')}
  >
    {#snippet row(divide)}
      <LengthField
        label={LAYOUT.fromTheHoleAt}
        value={divide.fromIn}
        problem={workspace.problemAt(`divides.${divide.id}.fromIn`)}
        oninput={(text) => workspace.setAt(`divides.${divide.id}.fromIn`, text)}
      />
      <LengthField
        label={LAYOUT.toTheHoleAt}
        value={divide.toIn}
        problem={workspace.problemAt(`divides.${divide.id}.toIn`)}
        oninput={(text) => workspace.setAt(`divides.${divide.id}.toIn`, text)}
      />
      <LengthField
        label="New holes between"
        plain
        value={divide.count}
        problem={workspace.problemAt(`divides.${divide.id}.count`)}
        oninput={(text) => workspace.setAt(`divides.${divide.id}.count`, text)}
      />
    {/snippet}
  </RowList>
{/if}

{#if tapered}
  <RowList
    title="Size zones: where the rivet size changes"
    items={tapered.zones}
    what="size zone"
    empty="One size from end to end."
    onadd={() => addZone(tapered)}
    onremove={({ id }) => setList('zones', without(tapered.zones, id), 'remove')}
  >
    {#snippet row(zone)}
      <LengthField
        label="Zone ends at"
        value={zone.toIn}
        problem={workspace.problemAt(`zones.${zone.id}.toIn`)}
        oninput={(text) => workspace.setAt(`zones.${zone.id}.toIn`, text)}
      />
      <label class="pick">
        <span class="label">Rivet</span>
        <select
          class="field-box"
          value={String(zone.dash)}
          onchange={(event) =>
            setList(
              'zones',
              change(tapered.zones, zone.id, { dash: Number(event.currentTarget.value) as Dash }),
              'dash'
            )}
        >
          {#each RIVET_SIZES as size (size.dash)}<option value={String(size.dash)}
              >dash {size.dash}</option
            >{/each}
        </select>
      </label>
    {/snippet}
  </RowList>
{/if}

<style>
  .judged {
    grid-column: 1 / -1;
    font-weight: 700;
  }
  .pick {
    display: flex;
    flex-direction: column;
    gap: 2px;
  }
</style>
