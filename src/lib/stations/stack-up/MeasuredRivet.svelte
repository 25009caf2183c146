<script lang="ts">
  import { STACK } from '$lib/words/pages/stack';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { nextId } from '$core/joint/item-id.ts';
  import type { PlannedStack } from '$core/plan/plan-shape.ts';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Choice from '../../ui/kit/Choice.svelte';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import Length from '../../ui/kit/Length.svelte';
  import LengthField from '../../ui/kit/LengthField.svelte';
  import { causeInWords } from '$lib/words/stacks';

  /** "I put a rivet in and measured": what stands out gives the grip that is really there. */
  interface Props {
    stack: PlannedStack;
  }
  let { stack }: Props = $props();
  const preferences = usePreferences();
  const workspace = useWorkspace();
  const hole = $derived(workspace.picked);
  const planned = $derived(stack.length.ok ? stack.length.result.partNumber : '');
  const entry = $derived(workspace.entered.tries.find((one) => one.hole === hole));
  const found = $derived(workspace.now?.plan.tries.find((one) => one.hole === hole)?.found ?? null);
  let chosenFrom = $state<'sheet' | 'dimple'>('sheet');
  const from = $derived(entry?.from ?? chosenFrom);
  function type(protrusionIn: string): void {
    const { tries } = workspace.entered;
    const changed = entry
      ? tries.map((one) => (one.id === entry.id ? { ...one, protrusionIn } : one))
      : [...tries, { id: nextId(tries, 'try'), hole, partNumber: planned, protrusionIn, from }];
    // an emptied field is no measurement any more
    workspace.edit({ tries: changed.filter((one) => one.protrusionIn !== '') }, `tries.${hole}`);
  }
  function measureFrom(where: 'sheet' | 'dimple'): void {
    chosenFrom = where;
    if (entry)
      workspace.edit(
        {
          tries: workspace.entered.tries.map((one) =>
            one.id === entry.id ? { ...one, from: where } : one
          )
        },
        `tries.${hole}`
      );
  }
</script>

<section class="measured" aria-label="Trial rivet">
  <LengthField
    label="Measured protrusion, hole {hole}: {entry?.partNumber ?? planned}"
    value={entry?.protrusionIn ?? ''}
    placeholder={stack.length.ok ? stack.length.result.protrusionIn.toFixed(3) : ''}
    whenEmpty={stack.dimpledThrough && from === 'dimple'
      ? 'measure from the raised dimple to the shank’s end'
      : 'measure from the flat far sheet to the shank’s end'}
    problem={found && !found.ok ? { said: found.error.said, instead: null } : undefined}
    oninput={type}
  />
  {#if stack.dimpledThrough}
    <Choice
      label="Measured from"
      value={from}
      options={[
        { value: 'sheet', text: 'the flat sheet' },
        { value: 'dimple', text: 'the raised dimple' }
      ]}
      onchoose={measureFrom}
    />
  {/if}
  {#if found?.ok}
    {@const { gripIn, differenceIn, agrees, causes } = found.result}
    <p class:agrees data-testid="measured">
      {agrees ? '✓' : '△'} Actual grip
      <strong><Length lengthIn={gripIn} decimal /></strong>{#if agrees}{STACK.asTheStackSays}
      {:else}: <Length lengthIn={Math.abs(differenceIn)} decimal />
        {differenceIn > 0 ? 'more' : 'less'} than planned. Possible causes: {causes
          .map((cause) => causeInWords(cause, preferences.inWords))
          .join('; ')}.{/if}
    </p>
    {#if workspace.arithmetic}<Arithmetic
        work={found.work}
        source="grip = length − protrusion"
      />{/if}
  {/if}
</section>

<style>
  .measured {
    padding-bottom: 6px;
    border-bottom: 1px solid var(--line);
  }
  p {
    line-height: 1.3;
    color: var(--amber);
  }
  .agrees {
    color: var(--olive-deep);
  }
</style>
