<script lang="ts">
  import { runningMarkIn, type LaidLine, type PlannedHole } from '$core/plan/holes.ts';
  import type { InMetal } from '$core/releases/in-metal.ts';
  import { inMetalInWords } from '$lib/words/releases';
  import { usePreferences } from '$lib/client/preferences.svelte';

  /** The drawing as a table: the holes of one line, where they are marked and where they lie. */
  interface Props {
    line: LaidLine | undefined;
    holes: readonly PlannedHole[];
    /** what rework left in another way than planned */
    inMetal: readonly InMetal[];
    picked: number;
    onpick: (hole: number) => void;
  }
  let { line, holes, inMetal, picked, onpick }: Props = $props();
  const preferences = usePreferences();
  const own = $derived.by(() => {
    const byNumber = new Map(holes.map((hole) => [hole.number, hole]));
    return (line?.holes ?? []).flatMap((number) => byNumber.get(number) ?? []);
  });
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="table" role="region" aria-label="Holes of {line?.name ?? 'the joint'}" tabindex="0">
  <table class="figures">
    <caption class="label">{line?.name ?? ''}, {own.length} holes</caption>
    <thead>
      <tr>
        <th scope="col">Hole</th>
        <th scope="col">Mark</th>
        <th scope="col">From left edge</th>
        <th scope="col">Down</th>
        <th scope="col">Dash</th>
        <th scope="col" class="words">Type</th>
      </tr>
    </thead>
    <tbody>
      {#each own as hole (hole.number)}
        <tr class:picked={hole.number === picked}>
          <th scope="row"
            ><button class="act small" type="button" onclick={() => onpick(hole.number)}
              >{hole.number}</button
            ></th
          >
          <td>{preferences.inWords(line ? runningMarkIn(line, hole) : hole.markIn)}</td>
          <td>{preferences.inWords(hole.xIn)}</td>
          <td>{preferences.inWords(hole.yIn)}</td>
          <td>{hole.dash}</td>
          <td class="words"
            >{hole.state === 'held-open'
              ? `open hole: ${hole.reason}`
              : hole.fixed === null
                ? 'rivet'
                : 'rivet, fixed hole'}{#each inMetal.filter((one) => one.hole === hole.number) as now (now.hole)};
              reworked: {inMetalInWords(now, preferences.inWords)}{/each}</td
          >
        </tr>
      {/each}
    </tbody>
  </table>
</div>

<style>
  .table {
    min-height: 0;
    height: 100%;
    overflow: auto;
    background: var(--panel);
  }
  caption {
    text-align: left;
    padding: 6px 10px;
  }
  thead th {
    position: sticky;
    top: 0;
    background: var(--panel);
  }
  .picked {
    background: var(--dye-soft);
  }
</style>
