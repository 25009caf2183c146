<script lang="ts">
  import { LAYOUT } from '$lib/words/pages/layout';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { placeInWords } from '$lib/words/places';
  import { num } from '$core/answer.ts';
  import { reworkMargin } from '$core/plan/rework-margin.ts';
  import { stoppedUpTo } from '$core/plan/blocks.ts';
  import type { Plan } from '$core/plan/plan-shape.ts';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Figure from '../../ui/joint/Figure.svelte';
  import Length from '../../ui/kit/Length.svelte';
  import { marginInWords } from '$lib/words/margins';
  import { notationInWords } from '$lib/words/arithmetic';

  /** The answers of a layout: how many, and every distance with its place between the limits. */
  const preferences = usePreferences();
  interface Props {
    plan: Plan;
  }
  let { plan }: Props = $props();
  const workspace = useWorkspace();
  const stopped = $derived(stoppedUpTo(workspace.blocks, 'layout'));
  const layout = $derived(plan.layout.ok ? plan.layout.result : null);
  /** a gap over an open hole is told, and is no broken limit */
  const limits = $derived(layout?.checks.filter((check) => check.rule !== 'open-gap') ?? []);
  const broken = $derived(limits.filter((check) => !check.ok).length);
  const margin = $derived(reworkMargin(plan));
  /** as it was when the joint was opened: only one's own change makes it worth a color */
  const before = $derived(workspace.marginAtOpening);
  const worse = $derived(
    margin !== null && before !== null && margin.take * before.of < before.take * margin.of
  );
  const open = $derived(layout ? layout.drilled - layout.rivets : 0);
  const needed = $derived.by(() => {
    const [need] = plan.needs;
    if (plan.needs.length !== 1 || !need?.required.ok) return '';
    const { required } = need.required.result;
    return `${required} needed${need.where.at === 'joint' ? '' : ` ${placeInWords(need.where, preferences.inWords)}`}`;
  });
</script>

{#if layout}
  <section aria-label="Spacing">
    <Figure label="Holes" big work={layout.work} note={needed}>
      {layout.drilled}<small class="of"
        >&nbsp;{layout.lines.length === 1 ? 'in one row' : `in ${layout.lines.length} rows`}{open >
        0
          ? `, ${open} left open`
          : ''}</small
      >
    </Figure>
    {#each layout.figures as figure (figure.key)}
      <Figure
        label={figure.label}
        work={figure.work}
        source={notationInWords(figure.note ?? '', preferences.lengths)}
        limits={figure.limits}
      >
        {#if figure.valueIn === undefined}<span class="text"
            >{notationInWords(figure.text ?? '', preferences.lengths)}</span
          >{:else}<Length lengthIn={figure.valueIn} />{/if}
      </Figure>
    {/each}
    {#if margin}
      <Figure
        label={LAYOUT.reworkMargin}
        work={margin.work}
        source="largest rivet each hole still accepts, neighbors unchanged"
        note={marginInWords(margin, preferences.inWords)}
      >
        <span class:worse data-testid="rework-margin"
          >{margin.take}<small class="of"
            >&nbsp;of {margin.of}{worse && before
              ? `, △ was ${before.take} of ${before.of}`
              : ''}</small
          ></span
        >
      </Figure>
    {/if}
    {#if plan.mass}
      <Figure
        label="Added weight"
        work={plan.mass.work}
        source="undriven rivets and added metal, 0.100 lb/in³"
      >
        {num(Number((plan.mass.rivetsLb + plan.mass.metalLb).toFixed(4)))}<small class="of"
          >&nbsp;lb</small
        >
      </Figure>
    {/if}
  </section>
  <p class="checks" class:bad={broken > 0} data-testid="checks">
    {#if broken === 0}
      {stopped ? '○' : '✓'} {limits.length} limits met (exact and rounded to scale)
    {:else}
      ✕ {broken} of {limits.length} limits violated
    {/if}
  </p>
{/if}

<style>
  .of {
    font-size: var(--small);
    font-weight: 400;
    color: var(--ink-soft);
  }
  .worse,
  .worse .of {
    color: var(--amber);
  }
  .text {
    font-size: 1.05rem;
  }
  .checks {
    font-size: var(--small);
    color: var(--olive-deep);
  }
  .checks.bad {
    color: var(--brick);
    font-weight: 700;
  }
</style>
