<script lang="ts">
  import { SIDES } from '$core/driving/access.ts';
  import { SIDE_WORDS } from '$lib/words/driving';
  import type { FieldProblem } from '../../../ui/kit/field-problem.ts';
  import Choice from '../../../ui/kit/Choice.svelte';
  import LengthField from '../../../ui/kit/LengthField.svelte';
  import { newUpstand, type TypedAccess } from './access-fields';

  /** What stands up beside the rivets, with the figures that the drawing shows. */
  interface Props {
    typed: TypedAccess;
    picked: string | null;
    onpick: (id: string) => void;
    problem: (key: string, empty: boolean) => FieldProblem | undefined;
  }
  let { typed = $bindable(), picked, onpick, problem }: Props = $props();
  const MOST = 12;
  function add(side: (typeof SIDES)[number]): void {
    const upstand = newUpstand(side);
    typed.upstands.push(upstand);
    onpick(upstand.id);
  }
</script>

{#each typed.upstands as upstand, at (upstand.id)}
  <div
    class="upstand"
    class:picked={picked === upstand.id}
    onfocusin={() => onpick(upstand.id)}
    role="group"
    aria-label="Obstruction {at + 1}"
  >
    <p class="head">
      <strong>Obstruction {at + 1}, {SIDE_WORDS[upstand.side]} side</strong>
      <button class="act" type="button" onclick={() => typed.upstands.splice(at, 1)}>Remove</button>
    </p>
    <div class="pair">
      <LengthField
        label="Distance from outline"
        value={upstand.inset}
        oninput={(value) => (upstand.inset = value)}
        problem={problem(`${upstand.id}.inset`, upstand.inset.trim() === '')}
        whenEmpty="needed"
      />
      <LengthField
        label="Height"
        value={upstand.height}
        oninput={(value) => (upstand.height = value)}
        problem={problem(`${upstand.id}.height`, upstand.height.trim() === '')}
        whenEmpty="needed"
      />
    </div>
    <Choice
      label="On the side of the"
      value={upstand.on ?? ''}
      options={[
        { value: 'head', text: 'manufactured heads' },
        { value: 'shop', text: 'shop heads' }
      ]}
      onchoose={(on) => (upstand.on = on)}
    />
    {#if problem(`${upstand.id}.on`, true)}<p class="wrong" role="alert">
        △ Say on which side it stands.
      </p>{/if}
  </div>
{/each}
<div class="add" role="group" aria-label="Add obstruction">
  <span class="label">Add obstruction</span>
  {#each SIDES as side (side)}
    <button
      class="act"
      type="button"
      data-testid="add-{side}"
      disabled={typed.upstands.length >= MOST}
      onclick={() => add(side)}>{SIDE_WORDS[side]}</button
    >
  {/each}
</div>

<style>
  .upstand {
    display: grid;
    gap: 8px;
    padding: 10px;
    border: 1.5px solid var(--line);
    border-radius: 8px;
  }
  .picked {
    border-color: var(--dye);
  }
  .head,
  .add {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
  }
  .add {
    justify-content: start;
  }
  .pair {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 10px;
  }
  .wrong {
    color: var(--brick);
  }
</style>
