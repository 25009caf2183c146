<script lang="ts">
  import { SvelteSet } from 'svelte/reactivity';
  import { inJoint, type FoundHole } from '$core/edit/take-up.ts';
  import { kindOf } from '$core/kinds/joint.ts';
  import type { JointLayout } from '$core/plan/plan-shape.ts';
  import { writeDecimal } from '$core/units/format-length.ts';
  import { firstLetters } from '$core/schema/well-formed.ts';
  import { MM_PER_IN } from '$core/units/factors.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { readHolesFile } from '$lib/client/read-file';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import type { Found } from '$lib/exchange/found.ts';
  import { holesMeant } from '$lib/exchange/own-pattern.ts';
  import { fieldName } from '$lib/words/field-names.ts';
  import Choice from '../../ui/kit/Choice.svelte';
  import FileDrop from '../../ui/kit/FileDrop.svelte';
  import { chosenOf, groupsOf, outlineFields } from './found-groups.ts';
  import FoundPreview from './FoundPreview.svelte';

  /** Holes of a drawing or a table: which of them, in which unit, from which corner, before they are taken up. */
  interface Props {
    layout: JointLayout | null;
    ontake: (holes: readonly FoundHole[], name: string) => void;
    onsaid: (text: string) => void;
    onrefused: (text: string) => void;
  }
  let { layout, ontake, onsaid, onrefused }: Props = $props();
  const preferences = usePreferences();
  const workspace = useWorkspace();

  let read = $state.raw<{ name: string; found: Found } | null>(null);
  let unit = $state<'in' | 'mm' | 'other' | ''>('');
  let origin = $state<'drawing' | 'corner'>('drawing');
  const left = new SvelteSet<string>();
  const groups = $derived(read ? groupsOf(read.found) : []);
  const chosen = $derived(
    read ? chosenOf(read.found, (group) => !left.has(group)) : { holes: [], outline: null }
  );
  const inPerUnit = $derived(
    unit === 'in'
      ? 1
      : unit === 'mm'
        ? 1 / MM_PER_IN
        : unit === 'other'
          ? (read?.found.inPerUnit ?? null)
          : null
  );
  const units = $derived([
    { value: 'in' as const, text: 'inches' },
    { value: 'mm' as const, text: 'millimeters' },
    ...(read && unitOf(read.found) === 'other'
      ? [
          {
            value: 'other' as const,
            text: `its own: ${writeDecimal(read.found.inPerUnit ?? 0, 0, 4)} in each`
          }
        ]
      : [])
  ]);
  const placed = $derived(inPerUnit === null ? [] : inJoint(chosen, inPerUnit, origin));
  const fields = $derived(
    chosen.outline && inPerUnit !== null
      ? outlineFields(kindOf(workspace.entered).outline, chosen.outline, inPerUnit)
      : []
  );

  /** The unit that the file names, as it is offered. */
  function unitOf({ inPerUnit: says }: Found): typeof unit {
    return says === null ? '' : says === 1 ? 'in' : says === 1 / MM_PER_IN ? 'mm' : 'other';
  }
  async function take(file: File): Promise<void> {
    onsaid('');
    onrefused('');
    read = null;
    left.clear();
    const result = await readHolesFile(file);
    if (!result.ok) return onrefused(`${file.name}: ${result.message}.`);
    unit = unitOf(result.found);
    read = { name: file.name, found: holesMeant(result.found) };
  }
  function takeSize(): void {
    for (const { path, sizeIn } of fields) workspace.setAt(path, writeDecimal(sizeIn, 0, 6));
    onsaid('The outline’s size is filled in.');
  }
  const measured = (size: number) =>
    inPerUnit === null ? writeDecimal(size, 0, 4) : preferences.inWords(size * inPerUnit, 'fine');
</script>

<div class="file">
  <p class="hint">
    DXF with circles, round outlines and points, or CSV with columns x_in and y_in (or x_mm and
    y_mm).
  </p>
  <FileDrop
    label="A drawing or table of holes"
    endings={['.dxf', '.csv', '.txt']}
    onfile={(file) => void take(file)}
  />
  {#if read}
    <p>
      {read.name}: {read.found.holes.length} hole{read.found.holes.length === 1 ? '' : 's'}{read
        .found.outlines.length > 0
        ? ', an outline'
        : ''}.
    </p>
    {#if read.found.leftOut.length > 0}
      <p class="hint" data-testid="left-out">
        △ Left out: {read.found.leftOut.map(({ what, count }) => `${count} ${what}`).join('; ')}.
      </p>
    {/if}
    <Choice
      label={read.found.inPerUnit === null
        ? 'Unit (not stated in the file)'
        : 'Unit (from the file)'}
      testid="unit"
      value={unit}
      options={units}
      onchoose={(value) => (unit = value)}
    />
    {#if groups.length > 1}
      <fieldset class="groups">
        <legend class="label">Layers and hole sizes</legend>
        {#each groups as group (group.key)}
          <label>
            <input
              type="checkbox"
              checked={!left.has(group.key)}
              onchange={(event) =>
                event.currentTarget.checked ? left.delete(group.key) : left.add(group.key)}
            />
            {group.layer === '' ? 'no layer' : group.layer}:
            {#if group.holes === 0}lines only{:else}{group.holes} × {group.diameter === null
                ? 'points'
                : `⌀ ${measured(group.diameter)}`}{/if}
          </label>
        {/each}
      </fieldset>
    {/if}
    {#if chosen.outline}
      <Choice
        label="Datum corner"
        value={origin}
        options={[
          { value: 'drawing', text: 'drawing’s origin' },
          { value: 'corner', text: 'outline’s upper left' }
        ]}
        onchoose={(value) => (origin = value)}
      />
    {/if}
    {#if inPerUnit !== null}
      {#if layout}<FoundPreview {layout} holes={placed} />{/if}
      <div class="wraps-wide">
        <button
          data-testid="take-up"
          class="act main"
          type="button"
          disabled={placed.length === 0}
          onclick={() => ontake(placed, firstLetters(read?.name ?? '', 40))}
          >Add {placed.length} fixed holes</button
        >
        {#if fields.length > 0}
          <button class="act" type="button" onclick={takeSize}
            >Set size from outline: {fields
              .map(
                ({ path, sizeIn }) =>
                  `${fieldName(path, workspace.entered)} ${preferences.inWords(sizeIn)}`
              )
              .join(', ')}</button
          >
        {/if}
      </div>
    {/if}
  {/if}
</div>

<style>
  .file {
    display: flex;
    flex-direction: column;
    gap: 10px;
  }
  .groups {
    display: grid;
    gap: 2px;
    max-height: 220px;
    overflow: auto;
  }
  .groups label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 44px;
  }
  .groups input {
    width: 22px;
    height: 22px;
  }
</style>
