<script lang="ts">
  import type { Answer } from '$core/answer.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import PlanView from '$lib/drawing/plan/PlanView.svelte';
  import WaysOut from '$lib/ui/joint/WaysOut.svelte';
  import { wayInWords } from '$lib/words/ways';

  /** A joint that cannot be laid out as it stands: why, what would work, and both as a picture. */
  interface Props {
    refused: Answer<unknown>;
  }
  let { refused }: Props = $props();
  const workspace = useWorkspace();
  const preferences = usePreferences();
  const attempt = $derived(workspace.attempt);
  /** what is drawn as metal: the joint as wished, or with nothing of it possible the way out */
  const base = $derived(
    attempt?.wished
      ? { definition: attempt.joint, plan: attempt.wished }
      : attempt?.ghost
        ? { definition: attempt.ghost.joint, plan: attempt.ghost.plan }
        : null
  );
  const cannot = $derived(new Set(attempt?.wished ? attempt.cannot : []));
  const ghost = $derived.by(() => {
    const plan = attempt?.ghost?.plan;
    return plan?.layout.ok ? { holes: plan.holes, parts: plan.layout.result.parts } : null;
  });
</script>

<div class="refused" class:drawn={base !== null}>
  <WaysOut {refused} />
  {#if base}
    <div class="picture" data-testid="not-possible">
      <PlanView
        shown={base}
        picked={0}
        onpick={() => undefined}
        impossible={{ cannot: base.plan.holes.filter(({ number }) => cannot.has(number)), ghost }}
      />
    </div>
    <p class="hint legend">
      {#if attempt?.wished}<span class="hatch" aria-hidden="true"></span> hatched: {cannot.size ===
        base.plan.holes.length
          ? 'no hole is valid as drawn'
          : `${cannot.size} of ${base.plan.holes.length} holes are not valid`}.
      {/if}
      {#if attempt?.ghost && ghost}<span class="ring" aria-hidden="true"></span> dashed: {wayInWords(
          attempt.ghost.way.said,
          preferences.inWords
        )}, {ghost.holes.length} holes.{/if}
    </p>
  {/if}
</div>

<style>
  .refused {
    width: min(560px, 100%);
  }
  .drawn {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto minmax(0, 1fr) auto;
    gap: 8px;
    width: 100%;
    height: 100%;
  }
  .picture {
    min-height: 0;
  }
  .legend {
    padding: 2px 4px;
  }
  .hatch,
  .ring {
    display: inline-block;
    width: 14px;
    height: 14px;
    border-radius: 50%;
    vertical-align: -2px;
  }
  .hatch {
    border: 1.5px solid var(--brick);
    background: repeating-linear-gradient(45deg, var(--brick) 0 2px, transparent 2px 5px);
  }
  .ring {
    border: 1.5px dashed var(--dye);
  }
  @media (max-width: 900px) {
    .picture {
      height: 420px;
    }
  }
</style>
