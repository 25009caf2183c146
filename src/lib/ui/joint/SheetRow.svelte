<script lang="ts">
  import { LAYOUT } from '$lib/words/pages/layout';
  import { COMMON } from '$lib/words/pages/common';
  import GripVertical from '@lucide/svelte/icons/grip-vertical';
  import X from '@lucide/svelte/icons/x';
  import { orderHandle } from '../kit/drag-order';
  import type { EnteredSheet } from '$core/joint/sheets.ts';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import { MATERIAL_OPTIONS } from '../kit/options';
  import LengthField from '../kit/LengthField.svelte';
  import More from '../kit/More.svelte';

  /** One layer of the stack: name and thickness, and on Stack all that lies on it and where it runs. */
  interface Props {
    sheet: EnteredSheet;
    index: number;
    /** material, film and coats too */
    detail: boolean;
    /** it may begin, end or taper along the joint */
    layered: boolean;
    onremove: (() => void) | null;
    /** null: its place is its role */
    onmove: ((by: number) => void) | null;
  }
  let { sheet, index, detail, layered, onremove, onmove }: Props = $props();
  const workspace = useWorkspace();
  const LAYER_FIELDS = [
    { key: 'endThicknessIn', label: 'At the far end', whenEmpty: 'the same' },
    { key: 'fromIn', label: 'Begins at', whenEmpty: 'the beginning' },
    { key: 'toIn', label: LAYOUT.endsAt, whenEmpty: 'the end' }
  ] as const;
  const told = $derived(
    [
      sheet.material,
      sheet.film ? 'film on' : '',
      sheet.coatIn.trim() === '' ? '' : `coat ${sheet.coatIn}`,
      layered && sheet.endThicknessIn.trim() !== '' ? `tapers to ${sheet.endThicknessIn}` : '',
      layered && sheet.fromIn.trim() !== '' ? `from ${sheet.fromIn}` : '',
      layered && sheet.toIn.trim() !== '' ? `to ${sheet.toIn}` : ''
    ]
      .filter((part) => part !== '')
      .join(' · ')
  );
  function keys(event: KeyboardEvent): void {
    if (!event.altKey || onmove === null) return;
    const by = { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    onmove(by);
  }
</script>

<div class="sheet" class:detail>
  {#if onmove}
    <span class="handle" role="presentation" onkeydowncapture={keys}>
      <span
        class="grab"
        use:orderHandle
        data-testid="move-sheet-{index + 1}"
        aria-label="Move {sheet.name}, sheet {index + 1}: drag it, or Alt with the arrow keys"
        ><GripVertical size={18} />{index + 1}</span
      >
    </span>
  {:else}
    <span class="no">{index + 1}</span>
  {/if}
  <input
    class="field-box name"
    data-testid="sheet-name-{index + 1}"
    aria-label="Name of sheet {index + 1}"
    value={sheet.name}
    maxlength="40"
    oninput={(event) => workspace.editSheet(sheet.id, { name: event.currentTarget.value })}
  />
  <div class="thick">
    <LengthField
      quiet
      testid="thickness-{index + 1}"
      label="Thickness of sheet {index + 1}"
      placeholder="0.040"
      list="gauges"
      value={sheet.thicknessIn}
      problem={workspace.problemAt(`sheets.${sheet.id}.thicknessIn`)}
      onmeant={() => workspace.mean(`sheets.${sheet.id}.thicknessIn`)}
      oninput={(text) => workspace.editSheet(sheet.id, { thicknessIn: text })}
    />
  </div>
  {#if onremove}
    <button class="act small" type="button" aria-label="Remove sheet {index + 1}" onclick={onremove}
      ><X size={18} /></button
    >
  {/if}
  {#snippet where()}
    <div class="layer">
      {#each LAYER_FIELDS as field (field.key)}
        <LengthField
          label={field.label}
          value={sheet[field.key]}
          placeholder=""
          whenEmpty={field.whenEmpty}
          problem={workspace.problemAt(`sheets.${sheet.id}.${field.key}`)}
          onmeant={() => workspace.mean(`sheets.${sheet.id}.${field.key}`)}
          oninput={(text) => workspace.editSheet(sheet.id, { [field.key]: text })}
        />
      {/each}
    </div>
  {/snippet}
  {#if detail}
    <div class="more">
      <More title={told === '' ? LAYOUT.materialFilm : told} aside=" of sheet {index + 1}">
        <div class="told">
          <label class="label" for="material-{index}">{COMMON.material}</label>
          <select
            id="material-{index}"
            class="field-box"
            value={sheet.material}
            onchange={(event) =>
              workspace.editSheet(sheet.id, {
                material: event.currentTarget.value as EnteredSheet['material']
              })}
          >
            {#each MATERIAL_OPTIONS as option (option.value)}
              <option value={option.value}>{option.text}</option>
            {/each}
          </select>
          <LengthField
            label="Sealant or primer thickness"
            value={sheet.coatIn}
            placeholder=""
            whenEmpty="none"
            problem={workspace.problemAt(`sheets.${sheet.id}.coatIn`)}
            oninput={(text) => workspace.editSheet(sheet.id, { coatIn: text })}
          />
          <label class="film">
            <input
              type="checkbox"
              checked={sheet.film}
              onchange={(event) =>
                workspace.editSheet(sheet.id, { film: event.currentTarget.checked })}
            />
            {LAYOUT.filmIsOn}</label
          >
        </div>
        {#if layered}{@render where()}{/if}
      </More>
    </div>
  {:else if layered}
    {@render where()}
  {/if}
</div>

<style>
  .sheet {
    display: grid;
    grid-template-columns: 34px minmax(0, 1fr) minmax(0, 150px) auto;
    align-items: start;
    gap: 6px;
    background: var(--panel);
  }
  .layer,
  .more {
    grid-column: 1 / -1;
  }
  .layer {
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    gap: 8px;
    padding-left: 40px;
  }
  .no {
    padding: 11px 0 0 10px;
    color: var(--ink-soft);
  }
  .grab {
    display: flex;
    align-items: center;
    height: 44px;
    color: var(--ink-soft);
    cursor: grab;
  }
  .name {
    font-size: 0.95rem;
  }
  /* beside the hint under the thickness, not beneath it */
  .more {
    margin-top: -26px;
  }
  .more :global([data-part='trigger']) {
    width: auto;
    max-width: calc(100% - 200px);
    padding: 0 0 0 40px;
    font-size: var(--small);
  }
  .told {
    display: grid;
    grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
    gap: 4px 8px;
    padding-left: 40px;
  }
  .told > .label {
    grid-column: 1 / -1;
  }
  .told select {
    grid-column: 1 / -1;
  }
  .film {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 44px;
    padding-top: 14px;
  }
  .film input {
    width: 24px;
    height: 24px;
  }
</style>
