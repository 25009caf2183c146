<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';

  /** One field of a form about people, as a browser’s own keeper of passwords knows it. */
  interface Props extends HTMLInputAttributes {
    name: string;
    label: string;
    hint?: string;
  }
  let { name, label, hint = '', ...rest }: Props = $props();
  const id = $props.id();
</script>

<div class="field">
  <label class="label" for={id}>{label}</label>
  <input
    {id}
    {name}
    class="field-box"
    {...rest}
    aria-describedby={hint ? `${id}-hint` : undefined}
  />
  {#if hint}<p class="hint" id="{id}-hint">{hint}</p>{/if}
</div>

<style>
  .field {
    display: flex;
    flex-direction: column;
    gap: 2px;
  }
</style>
