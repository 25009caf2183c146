<script lang="ts">
  import LengthInput from './LengthInput.svelte';

  /** One line of text in a posted form, with what was wrong with it. */
  interface Props {
    name: string;
    label: string;
    value: string;
    errors?: string[] | undefined;
    hint?: string;
    inputmode?: 'text' | 'numeric' | 'decimal';
    maxlength?: number;
    testid?: string | undefined;
    /** a length, or a list of them */
    length?: boolean;
  }
  let {
    name,
    label,
    value = $bindable(),
    errors,
    hint = '',
    inputmode = 'text',
    maxlength = 200,
    testid,
    length = false
  }: Props = $props();
  const id = $props.id();
</script>

<div class="text">
  <label class="label" for={id}>{label}</label>
  {#if length}
    <LengthInput
      {id}
      {name}
      data-testid={testid}
      {maxlength}
      {value}
      oninput={(text) => (value = text)}
      aria-invalid={errors !== undefined && errors.length > 0}
      aria-describedby="{id}-said"
    />
  {:else}
    <input
      {id}
      {name}
      data-testid={testid}
      class="field-box"
      autocomplete="off"
      {inputmode}
      {maxlength}
      bind:value
      aria-invalid={errors !== undefined && errors.length > 0}
      aria-describedby="{id}-said"
    />
  {/if}
  <p id="{id}-said" class="hint" aria-live="polite" class:wrong={errors?.length}>
    {errors?.[0] ?? hint}
  </p>
</div>

<style>
  .text {
    display: flex;
    flex-direction: column;
    gap: 2px;
  }
  .hint {
    min-height: 1.2em;
  }
  .wrong {
    color: var(--amber);
  }
</style>
