<script lang="ts">
  import TermText from '../../ui/kit/TermText.svelte';
  import { LAYOUT } from '$lib/words/pages/layout';
  import { alternatives, type Alternative } from '$core/plan/alternatives.ts';
  import { useWorkspace, type Change } from '$lib/client/workspace.svelte';
  import Length from '../../ui/kit/Length.svelte';

  /** The same joint laid out in other ways, side by side; choosing one fills the definition. */
  interface Props {
    onchosen: () => void;
  }
  let { onchosen }: Props = $props();
  const workspace = useWorkspace();
  const found = $derived(
    workspace.now && !workspace.slow
      ? alternatives(
          workspace.entered,
          workspace.now.definition,
          workspace.profile,
          workspace.now.plan
        )
      : []
  );
  const fewest = $derived(Math.min(...found.map(({ rivets }) => rivets)));
  const lightest = $derived(Math.min(...found.map(({ massLb }) => massLb)));
  function choose({ change, name }: Alternative): void {
    workspace.edit(change as Change, `alternative ${name}`);
    onchosen();
  }
</script>

<div class="others" data-testid="alternatives">
  {#each found as other (other.name)}
    <article class:current={other.current}>
      <h2>{other.name}</h2>
      <p class="count">
        {other.rivets}<small>&nbsp;rivets{other.rivets === fewest ? ', the fewest' : ''}</small>
      </p>
      <dl>
        <dt><TermText text="Pitch" /></dt>
        <dd><Length lengthIn={other.pitchIn} /> <small>{other.pitchD.toFixed(1)} D</small></dd>
        <dt>Size</dt>
        <dd>dash {other.dash} <small>{other.lines} line{other.lines > 1 ? 's' : ''}</small></dd>
        <dt>Overall width</dt>
        <dd><Length lengthIn={other.acrossIn} /></dd>
        <dt>Added weight</dt>
        <dd>{other.massLb.toFixed(3)} lb{other.massLb === lightest ? ' ✓' : ''}</dd>
        <dt>{LAYOUT.reworkMargin}</dt>
        <dd>{other.withRoom === 0 ? 'none' : `${other.withRoom} of ${other.rivets}`}</dd>
      </dl>
      {#if other.stops > 0}<p class="fails-strong">
          ✕ {other.stops} limit{other.stops > 1 ? 's' : ''} broken
        </p>{/if}
      {#if other.current}
        <p class="now">✓ Current</p>
      {:else}
        <button class="act" type="button" onclick={() => choose(other)}
          >{LAYOUT.useThisLayout}</button
        >
      {/if}
    </article>
  {:else}
    <p class="hint">Complete the layout to compare alternatives.</p>
  {/each}
</div>

<style>
  .others {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(196px, 1fr));
    gap: 12px;
    align-content: start;
    height: 100%;
    overflow-y: auto;
    padding: 4px 2px;
  }
  article {
    display: flex;
    flex-direction: column;
    gap: 4px;
    padding: 10px 14px 12px;
    border: 1.5px solid var(--line-strong);
    border-radius: 10px;
    background: var(--panel);
  }
  .current {
    border-color: var(--olive-deep);
    border-width: 2.5px;
  }
  h2 {
    font-size: 1.1rem;
  }
  .count {
    font-size: 1.9rem;
    font-weight: 700;
    line-height: 1.1;
    font-variant-numeric: tabular-nums;
  }
  .count small,
  dd small {
    font-size: var(--small);
    font-weight: 400;
    color: var(--ink-soft);
  }
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 1px 10px;
    font-variant-numeric: tabular-nums;
  }
  dt {
    color: var(--ink-soft);
    white-space: nowrap;
  }
  dd {
    text-align: right;
    white-space: nowrap;
  }
  .now {
    margin-top: auto;
    min-height: 44px;
    display: flex;
    align-items: center;
    color: var(--olive-deep);
    font-weight: 700;
  }
  .act {
    margin-top: auto;
  }
</style>
