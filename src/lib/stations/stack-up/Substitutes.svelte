<script lang="ts">
  import { STACK } from '$lib/words/pages/stack';
  import type { PlannedStack } from '$core/plan/plan-shape.ts';
  import { substitutions } from '$core/plan/substitutions.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { useWorkspace, type ShownPlan } from '$lib/client/workspace.svelte';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import Pick from '../../ui/kit/Pick.svelte';
  import {
    substituteInWords,
    substitutionInWords,
    SUBSTITUTION_RULE
  } from '$lib/words/substitutions';

  /** Other rivets in place of the stack's own, and what each changes. */
  interface Props {
    shown: ShownPlan;
    stack: PlannedStack;
  }
  let { shown, stack }: Props = $props();
  const workspace = useWorkspace();
  const preferences = usePreferences();
  const found = $derived(
    substitutions({
      joint: shown.definition,
      plan: shown.plan,
      stack,
      profile: workspace.profile
    })
  );
  let key = $state('up');
  const other = $derived(found.find((one) => one.key === key) ?? found[0]);
  const MARKS = { same: '', note: '·', stop: '✕' };
</script>

<div class="substitutes" data-testid="substitutes">
  <p class="warns-strong">△ {SUBSTITUTION_RULE}</p>
  <div class="pick">
    <Pick
      label={STACK.inPlaceOfIt}
      value={other?.key ?? ''}
      options={found.map((one) => ({ value: one.key, text: substituteInWords(one.said) }))}
      onchoose={(value) => (key = value)}
    />
    {#if other?.partNumber}<strong class="part">{other.partNumber}</strong>{/if}
    {#if other?.change}
      {@const change = other.change}
      <button class="act" type="button" onclick={() => workspace.take({ change })}
        >{STACK.planTheJointWithIt}</button
      >
    {/if}
  </div>
  {#if other}
    <table class="figures">
      <thead>
        <tr><th>Property</th><th>Planned</th><th>Substitute</th><th>Ratio</th></tr>
      </thead>
      <tbody>
        {#each other.lines as line (line.said)}
          {@const words = substitutionInWords(line.said, preferences.inWords)}
          <tr class={line.level}>
            <th scope="row">{words.label}</th>
            <td>{words.now}</td>
            <td>{MARKS[line.level]} {words.then}</td>
            <td>{line.ratio === undefined ? '' : `× ${line.ratio.toFixed(2)}`}</td>
          </tr>
        {/each}
      </tbody>
    </table>
    {#if workspace.arithmetic && other.work.length > 0}
      <Arithmetic work={other.work} source="reference strengths, for judgment: never an approval" />
    {/if}
  {/if}
</div>

<style>
  .substitutes {
    min-height: 100%;
    padding: 8px 12px;
    background: var(--panel);
  }
  .pick {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 12px;
    padding: 6px 0;
  }
  .part {
    font-size: 1.15rem;
    padding-bottom: 10px;
  }
  table :global(:is(th, td)) {
    text-align: left;
    white-space: normal;
  }
  .stop td:nth-child(3) {
    color: var(--brick);
    font-weight: 700;
  }
</style>
