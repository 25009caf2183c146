<script lang="ts">
  import { CONNECTION } from '$lib/words/connection.ts';
  import { onMount } from 'svelte';
  import { addCageAt } from '$lib/api/cages.ts';
  import { call } from '$lib/client/call';
  import { CAGES } from '$lib/words/pages/cages';
  import SetupFields from '../setting/SetupFields.svelte';
  import { CAGE_ROWS, cageFilling } from './cage-fields';

  /** A cage with the cutter and pilot that are in it. */
  interface Props {
    /** it is there now; its id */
    ondone: (id: string) => void;
  }
  let { ondone }: Props = $props();
  const filling = cageFilling();
  onMount(() => filling.restore());
  let refusal = $state('');
  /** the same while it is sent again: a repeat is stored once */
  let id = crypto.randomUUID();
  async function add(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (!filling.read.success) return;
    const reply = await call(addCageAt, undefined, { id, cage: filling.read.data });
    if (reply.reached && reply.ok) {
      ondone(id);
      filling.clear();
      id = crypto.randomUUID();
      refusal = '';
    } else refusal = reply.reached ? reply.message : CONNECTION.offlineKept;
  }
</script>

<form class="rows-within" onsubmit={add} aria-labelledby="new-cage">
  <h2 id="new-cage" class="label">Add stop countersink</h2>
  <SetupFields rows={CAGE_ROWS} {filling} />
  <p class="hint">△ Disconnect the air before touching the cutter.</p>
  {#if refusal !== ''}<p class="fails" role="alert">{refusal}</p>{/if}
  <button class="act main" disabled={!filling.read.success}>{CAGES.saveCage}</button>
</form>
