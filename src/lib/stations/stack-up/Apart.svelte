<script lang="ts">
  import { STACK } from '$lib/words/pages/stack';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Choice from '../../ui/kit/Choice.svelte';
  import LengthField from '../../ui/kit/LengthField.svelte';

  /** Whether the drilled parts come apart again, and by whose word they stay together where they do not. */
  const workspace = useWorkspace();
  const { closed, closedReason } = $derived(workspace.entered);
</script>

<section class="rows" aria-label="Taking apart">
  <Choice
    label="Can the parts be disassembled after drilling?"
    value={closed ? 'no' : 'yes'}
    options={[
      { value: 'yes', text: 'Yes' },
      { value: 'no', text: STACK.noClosedStructure }
    ]}
    onchoose={(value) => workspace.edit({ closed: value === 'no' }, 'closed')}
  />
  {#if closed}
    <LengthField
      label={STACK.chipsAndBurrsBetweenThem}
      plain
      placeholder="repair sheet, person"
      value={closedReason}
      problem={workspace.problemAt('closedReason')}
      oninput={(text) => workspace.edit({ closedReason: text }, 'closedReason')}
    />
  {/if}
</section>
