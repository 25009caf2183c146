<script lang="ts">
  import TextField from './TextField.svelte';

  /** Something is taken back, with a reason in a few words. */
  interface Props {
    name: string;
    label: string;
    act: string;
    hint?: string;
    /** @returns whether it was taken: then the field is emptied */
    onreason: (why: string) => boolean;
    /** it need not be done at all */
    onleave?: () => void;
  }
  let { name, label, act, hint = '', onreason, onleave }: Props = $props();
  let why = $state('');
  function send(event: SubmitEvent): void {
    event.preventDefault();
    if (why.trim() !== '' && onreason(why.trim())) why = '';
  }
</script>

<form onsubmit={send}>
  <TextField {name} {label} maxlength={120} bind:value={why} {hint} />
  <div class="in-a-row">
    <button class="act" class:main={onleave !== undefined} disabled={why.trim() === ''}
      >{act}</button
    >
    {#if onleave}<button class="act" type="button" onclick={onleave}>Cancel</button>{/if}
  </div>
</form>

<style>
  form {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    align-items: center;
    gap: 10px;
  }
</style>
