<script lang="ts">
  import Plus from '@lucide/svelte/icons/plus';
  import X from '@lucide/svelte/icons/x';
  import { useWorkspace, type Change } from '$lib/client/workspace.svelte';
  import { SHEETS_VARY } from './forms/kind-fields';
  import LengthField from './LengthField.svelte';

  /** The sheets of the stack in order, the one under the manufactured head first. */
  const workspace = useWorkspace();
  const entered = $derived(workspace.entered);
  const sheets = $derived(entered.sheets);
  const varies = $derived(SHEETS_VARY[entered.kind]);
  const layers = $derived(entered.kind === 'tapered' ? entered.sheets : null);
  const MOST = 8;
  const LEAST = 2;
  function add(): void {
    const blank = { name: `sheet ${sheets.length + 1}`, thicknessIn: '' };
    const layer = { ...blank, endThicknessIn: '', fromIn: '', toIn: '' };
    workspace.edit({ sheets: [...sheets, layers ? layer : blank] } as Change, 'sheets');
  }
  function remove(index: number): void {
    workspace.edit({ sheets: sheets.filter((_, at) => at !== index) } as Change, 'sheets');
  }
  const LAYER_FIELDS = [
    { key: 'endThicknessIn', label: 'At the far end', whenEmpty: 'the same' },
    { key: 'fromIn', label: 'Begins at', whenEmpty: 'the datum' },
    { key: 'toIn', label: 'Ends at', whenEmpty: 'the far end' }
  ] as const;
</script>

<fieldset class="sheets">
  <legend class="label">Sheets, under the manufactured head first</legend>
  {#each sheets as sheet, index (index)}
    <div class="sheet">
      <span class="no">{index + 1}</span>
      <input
        class="field-box name"
        aria-label="Name of sheet {index + 1}"
        value={sheet.name}
        maxlength="40"
        oninput={(event) => workspace.editSheet(index, { name: event.currentTarget.value })}
      />
      <div class="thick">
        <LengthField
          quiet
          label="Thickness of sheet {index + 1}"
          placeholder="0.040"
          value={sheet.thicknessIn}
          problem={workspace.problemAt(`sheets.${index}.thicknessIn`)}
          oninput={(text) => workspace.editSheet(index, { thicknessIn: text })}
        />
      </div>
      {#if varies && sheets.length > LEAST}
        <button
          class="act small"
          type="button"
          aria-label="Take sheet {index + 1} out"
          onclick={() => remove(index)}><X size={18} /></button
        >
      {/if}
      {#if layers?.[index]}
        <div class="layer">
          {#each LAYER_FIELDS as field (field.key)}
            <LengthField
              label={field.label}
              value={layers[index][field.key]}
              placeholder=""
              whenEmpty={field.whenEmpty}
              problem={workspace.problemAt(`sheets.${index}.${field.key}`)}
              oninput={(text) => workspace.editSheet(index, { [field.key]: text })}
            />
          {/each}
        </div>
      {/if}
    </div>
  {/each}
  {#if varies && sheets.length < MOST}
    <button class="act add" type="button" onclick={add}><Plus size={18} /> Sheet</button>
  {/if}
</fieldset>

<style>
  .sheets {
    display: flex;
    flex-direction: column;
    gap: 4px;
    min-width: 0;
  }
  .sheet {
    display: grid;
    grid-template-columns: 14px minmax(0, 1fr) minmax(0, 186px) auto;
    align-items: start;
    gap: 8px;
  }
  .layer {
    grid-column: 2 / -1;
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    gap: 8px;
  }
  .no {
    padding-top: 11px;
    color: var(--ink-soft);
  }
  .name {
    font-size: 0.95rem;
  }
  .add {
    align-self: flex-start;
  }
</style>
