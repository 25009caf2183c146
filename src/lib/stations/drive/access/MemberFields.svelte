<script lang="ts">
  import { DRIVE } from '$lib/words/pages/drive';
  import type { FieldProblem } from '../../../ui/kit/field-problem.ts';
  import Choice from '../../../ui/kit/Choice.svelte';
  import LengthField from '../../../ui/kit/LengthField.svelte';
  import type { TypedAccess } from './access-fields';

  /** A closed member's heights and walls, and where the rod goes in. */
  interface Props {
    typed: TypedAccess;
    problem: (key: string, empty: boolean) => FieldProblem | undefined;
  }
  let { typed = $bindable(), problem }: Props = $props();
  const MEMBER = [
    { key: 'near', label: DRIVE.outsideHeightDatumEnd, needed: true },
    { key: 'far', label: DRIVE.outsideHeightFarEnd, needed: true },
    { key: 'walls', label: DRIVE.bothWallsTogetherDatumEnd, needed: true },
    { key: 'wallsFar', label: DRIVE.bothWallsTogetherFarEnd, needed: true },
    { key: 'offset', label: DRIVE.rodAndBarOffset, needed: false }
  ] as const;
</script>

<fieldset>
  <legend class="label">Member dimensions</legend>
  <svg viewBox="0 0 420 110" aria-hidden="true">
    <path class="wall" d="M30 18L390 34V84L30 92zM30 26V84L390 76V42z" />
    <path class="dim" d="M14 18V92M406 34V84M10 18h8M10 92h8M402 34h8M402 84h8" />
    <path class="rod" d="M30 64H210" />
    <path class="bar" d="M196 48h34l10 16h-44z" />
  </svg>
  <div class="fields">
    {#each MEMBER as { key, label, needed } (key)}
      <LengthField
        testid="member-{key}"
        {label}
        value={typed.member[key]}
        oninput={(value) => (typed.member[key] = value)}
        problem={problem(`member.${key}`, typed.member[key].trim() === '')}
        whenEmpty={needed ? 'needed' : 'none'}
      />
    {/each}
  </div>
  <Choice
    label="Rod inserted from"
    value={typed.member.from ?? ''}
    testid="rod"
    options={[
      { value: 'left', text: 'datum end' },
      { value: 'right', text: 'far end' }
    ]}
    onchoose={(from) => (typed.member.from = from)}
  />
  {#if problem('member.from', true)}<p class="wrong" role="alert">
      △ Say which end the rod goes in.
    </p>{/if}
</fieldset>

<style>
  .wrong {
    color: var(--brick);
  }
  fieldset {
    display: grid;
    gap: 12px;
  }
  svg {
    width: min(460px, 100%);
  }
  .wall {
    fill: var(--metal);
    stroke: var(--metal-edge);
    fill-rule: evenodd;
  }
  .dim,
  .rod {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 1.4;
  }
  .rod {
    stroke-width: 5;
  }
  .bar {
    fill: var(--metal-dark);
    stroke: var(--ink);
  }
  .fields {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
    gap: 10px;
  }
</style>
