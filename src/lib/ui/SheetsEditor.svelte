<script lang="ts">
  import Plus from '@lucide/svelte/icons/plus';
  import X from '@lucide/svelte/icons/x';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import LengthField from './LengthField.svelte';

  /** The sheets of the stack in order, the one under the manufactured head first. */
  const workspace = useWorkspace();
  const sheets = $derived(workspace.entered.sheets);
  const MOST = 8;
  const LEAST = 2;
  function add(): void {
    workspace.edit(
      { sheets: [...sheets, { name: `sheet ${sheets.length + 1}`, thicknessIn: '' }] },
      'sheets'
    );
  }
  function remove(index: number): void {
    workspace.edit({ sheets: sheets.filter((_, at) => at !== index) }, 'sheets');
  }
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
      {#if sheets.length > LEAST}
        <button
          class="act small"
          type="button"
          aria-label="Take sheet {index + 1} out"
          onclick={() => remove(index)}><X size={18} /></button
        >
      {/if}
    </div>
  {/each}
  {#if sheets.length < MOST}
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
