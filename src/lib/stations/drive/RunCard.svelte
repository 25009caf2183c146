<script lang="ts">
  import { DRIVE } from '$lib/words/pages/drive';
  import type { Snippet } from 'svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { DrivingAccess } from '$core/driving/access.ts';
  import { drivingWays } from '$core/driving/driving-ways.ts';
  import type { RivetRun } from '$core/driving/rivet-runs.ts';
  import { inRuns } from '$lib/words/pattern';
  import { runTools } from '$core/driving/run-tools.ts';
  import type { DrivingTools } from '$core/drive/driving-tools.ts';
  import { toolInWords, WAY_STEPS, WAY_WORDS, wayReasonInWords } from '$lib/words/driving';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import More from '../../ui/kit/More.svelte';
  import TermText from '../../ui/kit/TermText.svelte';
  import Notice from '../../ui/kit/Notice.svelte';

  /** How one run of equal rivets is driven, and with what; the other ways with their reasons. */
  interface Props {
    run: RivetRun;
    /** a part of its run: the others have a way of their own */
    some: boolean;
    outline: { widthIn: number; heightIn: number };
    access: DrivingAccess;
    tools: DrivingTools;
    /** the yoke's reach is shown on the map */
    mapped: boolean;
    onmap: () => void;
    arithmetic: boolean;
    /** how its tool is set */
    setting: Snippet<[RivetRun]>;
  }
  let { run, some, outline, access, tools, mapped, onmap, arithmetic, setting }: Props = $props();
  const preferences = usePreferences();
  const length = preferences.inWords;
  const found = $derived(drivingWays(run, outline, access, tools));
  const needs = $derived(
    found.chosen === null ? [] : runTools(run, found.chosen, found.reach, outline, access, tools)
  );
  const chosen = $derived(found.ways.find(({ way }) => way === found.chosen));
  /** those that read alike are one */
  const grips = $derived([...new Set([run.gripLeastIn, run.gripMostIn].map((one) => length(one)))]);
  const gap = $derived(needs.find((need) => need.tool === 'gap'));
</script>

<section class="run" data-run={run.key} aria-label={run.partNumber}>
  <p class="head">
    <strong>{run.partNumber}</strong>
    <span class="hint"
      >{run.holes.length} rivets{some ? `: ${inRuns(run.holes.map(({ number }) => number))}` : ''} · grip
      {grips.join(' to ')}</span
    >
  </p>
  {#if found.chosen === null}
    <Notice
      level="attention"
      title="No driving method fits this access"
      text={found.ways
        .map(
          ({ way, why }) =>
            `${WAY_WORDS[way]}: ${why.map((one) => wayReasonInWords(one, length)).join('; ')}`
        )
        .join(' · ')}
    />
  {:else}
    <p class="way" data-testid="way-chosen">
      <strong>{WAY_WORDS[found.chosen]}</strong>
      {chosen?.why.map((one) => wayReasonInWords(one, length)).join('; ')}
    </p>
    <ol>
      {#each WAY_STEPS[found.chosen] as step (step)}<li>{step}</li>{/each}
    </ol>
    <dl>
      {#each needs as need (need.tool)}
        {@const said = toolInWords(need, length)}
        <dt class="quiet-text"><TermText text={said.name} /></dt>
        <dd class:warns={said.missing}>{said.missing ? '△ ' : ''}{said.text}</dd>
      {/each}
    </dl>
    {@render setting(run)}
    {#if arithmetic && gap?.tool === 'gap'}<Arithmetic
        work={gap.work}
        source="closed gap = manufactured head + grip + shop head"
      />{/if}
  {/if}
  {#if found.reach && found.reach.from.size > 0}
    <button class="act" type="button" aria-pressed={mapped} onclick={onmap} data-testid="reach"
      >Reach of {found.reach.yoke.name} on the plan</button
    >
  {/if}
  <More title={DRIVE.theOtherWaysAndWhy}>
    <ul>
      {#each found.ways.filter(({ way }) => way !== found.chosen) as { way, fits, why } (way)}
        <li>
          <strong>{fits ? '○' : '✕'} {WAY_WORDS[way]}</strong>
          {why.map((one) => wayReasonInWords(one, length)).join('; ')}
        </li>
      {/each}
    </ul>
  </More>
</section>

<style>
  .run {
    display: grid;
    gap: 6px;
    padding: 10px 12px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 2px 12px;
  }
  .way strong {
    font-size: 1.2rem;
  }
  ol {
    padding-left: 1.2rem;
    list-style: decimal;
  }
  dl {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 2px 12px;
  }
</style>
