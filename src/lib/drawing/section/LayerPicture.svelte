<script lang="ts">
  import { LOOKS_SAME_IN } from '$core/units/tolerance.ts';
  import { scaleLinear } from 'd3';
  import type { Plan } from '$core/plan/plan-shape.ts';
  import { shortPart } from '$core/plan/length-runs.ts';
  import { thicknessAt } from '$core/stack/layers.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';

  /** Layers along the joint, thickness drawn larger than length, and the rivets that each stretch takes. */
  interface Props {
    plan: Plan;
    picked: number;
    onpick: (hole: number) => void;
  }
  let { plan, picked, onpick }: Props = $props();
  const preferences = usePreferences();
  let widthPx = $state(760);
  let heightPx = $state(220);
  const LEFT = 96;
  const RIGHT = 16;
  const TOP = 28;
  const RUN_PX = 24;

  const layout = $derived(plan.layout.ok ? plan.layout.result : null);
  /** of the stacking that the picked hole goes through: its line's */
  const stackings = $derived(layout?.stackings ?? []);
  const lineOfPicked = $derived(
    layout?.lines.find((line) => line.holes.includes(picked)) ?? layout?.lines[0]
  );
  const runs = $derived(plan.lengthRuns.filter((run) => run.line === lineOfPicked?.name));
  const stacking = $derived.by(() => {
    const own = plan.stacks[runs[0]?.stack ?? 0];
    return (
      stackings.find(({ layers }) =>
        own?.sheets.every((sheet) => layers.some(({ name }) => name === sheet.name))
      ) ?? stackings[0]
    );
  });
  const alongIn = $derived(layout?.widthIn ?? 1);
  const x = $derived(scaleLinear([0, alongIn], [LEFT, widthPx - RIGHT]));
  /** places at which any layer begins or ends, and the joint's ends */
  const places = $derived(
    [
      ...new Set([
        0,
        alongIn,
        ...(stacking?.layers ?? []).flatMap(({ fromIn, toIn }) =>
          [fromIn, toIn].filter((at) => at > 0 && at < alongIn)
        )
      ])
    ].sort((a, b) => a - b)
  );
  const totalAt = (at: number) =>
    (stacking?.layers ?? []).reduce(
      (sum, layer) =>
        sum + (thicknessAt(layer, at) ?? 0) + (thicknessAt(layer, at) === null ? 0 : layer.coatIn),
      0
    );
  const tallestIn = $derived(
    Math.max(
      1e-3,
      ...places.flatMap((at) => [
        totalAt(Math.max(0, at - LOOKS_SAME_IN)),
        totalAt(Math.min(alongIn, at + LOOKS_SAME_IN))
      ])
    )
  );
  const roomPx = $derived(Math.max(40, heightPx - TOP - RUN_PX - 58));
  const pxPerIn = $derived(roomPx / tallestIn);
  const enlarged = $derived(pxPerIn / ((widthPx - LEFT - RIGHT) / alongIn));

  interface Piece {
    index: number;
    name: string;
    d: string;
  }
  /** every layer between neighbouring places, stacked from the top */
  const pieces = $derived.by((): Piece[] => {
    const found: Piece[] = [];
    for (const [at, from] of places.entries()) {
      const to = places[at + 1];
      if (to === undefined) break;
      let [topFrom, topTo] = [0, 0];
      for (const [index, layer] of (stacking?.layers ?? []).entries()) {
        const a = thicknessAt(layer, from + LOOKS_SAME_IN);
        const b = thicknessAt(layer, to - LOOKS_SAME_IN);
        if (a === null || b === null) continue;
        const y = (inches: number) => TOP + inches * pxPerIn;
        found.push({
          index,
          name: layer.name,
          d: `M${x(from)} ${y(topFrom)} L${x(to)} ${y(topTo)} V${y(topTo + b)} L${x(from)} ${y(topFrom + a)} Z`
        });
        topFrom += a + layer.coatIn;
        topTo += b + layer.coatIn;
      }
    }
    return found;
  });
  const nameAt = $derived(
    (stacking?.layers ?? []).map((layer) => {
      let topIn = 0;
      const at = Math.max(0, layer.fromIn) + LOOKS_SAME_IN;
      for (const other of stacking?.layers ?? []) {
        if (other === layer) break;
        const thick = thicknessAt(other, at);
        if (thick !== null) topIn += thick + other.coatIn;
      }
      return TOP + (topIn + layer.thicknessAtFromIn / 2) * pxPerIn;
    })
  );
  const spread = $derived(
    nameAt.reduce<number[]>(
      (placed, y) => [...placed, Math.max(y, (placed.at(-1) ?? -Infinity) + 16)],
      []
    )
  );
  const runY = $derived(TOP + roomPx + 14);
  const half = (run: (typeof runs)[number], side: 'from' | 'to'): number => {
    const change = plan.lengthChanges.find(
      (one) =>
        one.line === run.line &&
        (side === 'from' ? one.beforeHole === run.fromHole : one.afterHole === run.toHole)
    );
    return change ? x(change.xIn) : side === 'from' ? x(0) : x(alongIn);
  };
</script>

<div class="layers" bind:clientWidth={widthPx} bind:clientHeight={heightPx} data-testid="layers">
  {#if layout && stacking}
    <svg
      width={widthPx}
      height={heightPx}
      role="group"
      aria-label="Layers along {lineOfPicked?.name ?? 'the joint'} and the rivets they take"
    >
      <text class="draw-note" x={LEFT} y="16"
        >{lineOfPicked?.name ?? ''} · thickness drawn {enlarged.toFixed(0)} × larger than length</text
      >
      {#each pieces as piece, index (index)}
        <path class="layer layer-{piece.index % 3}" d={piece.d}><title>{piece.name}</title></path>
      {/each}
      {#each stacking.layers as layer, index (index)}
        <text class="name" x={LEFT - 8} y={(spread[index] ?? 0) + 4} text-anchor="end"
          >{layer.name.length > 12 ? `${layer.name.slice(0, 11)}…` : layer.name}</text
        >
      {/each}
      {#each runs as run (run.fromHole)}
        {@const from = half(run, 'from')}
        {@const wide = half(run, 'to') - from}
        <g
          class="run"
          class:current={picked >= run.fromHole && picked <= run.toHole}
          data-run={run.partNumber ?? 'none'}
        >
          <rect
            x={from}
            y={runY}
            width={Math.max(1, wide)}
            height={RUN_PX}
            role="button"
            tabindex="0"
            aria-label="holes {run.fromHole} to {run.toHole}: {run.partNumber ?? 'no rivet'}"
            onclick={() => onpick(run.fromHole)}
            onkeydown={(event) => event.key === 'Enter' && onpick(run.fromHole)}
          />
          {#if wide > 34}
            <text x={from + wide / 2} y={runY + 17} text-anchor="middle"
              >{run.partNumber === null
                ? 'none'
                : wide > 210
                  ? `${run.partNumber} · ${run.count}`
                  : wide > 130
                    ? run.partNumber
                    : shortPart(run.partNumber)}</text
            >
          {/if}
        </g>
      {/each}
      {#each plan.lengthChanges.filter((change) => change.line === lineOfPicked?.name) as change (change.afterHole)}
        <path class="change" d="M{x(change.xIn)} {TOP} V{runY + RUN_PX}" />
      {/each}
      <text class="draw-note" x={LEFT} y={runY + RUN_PX + 18}>0</text>
      <text class="draw-note" x={widthPx - RIGHT} y={runY + RUN_PX + 18} text-anchor="end"
        >{preferences.text(alongIn)}</text
      >
      {#each places.slice(1, -1) as at (at)}
        <text class="draw-note" x={x(at)} y={runY + RUN_PX + 18} text-anchor="middle"
          >{preferences.text(at)}</text
        >
      {/each}
    </svg>
  {:else}
    <p class="hint">The layers are drawn once the joint can be laid out.</p>
  {/if}
</div>

<style>
  .layers {
    height: 100%;
    overflow: hidden;
    background: var(--panel);
  }
  .layer {
    stroke: var(--metal-edge);
    stroke-width: 1.2;
  }
  .layer-0 {
    fill: var(--metal-light);
  }
  .layer-1 {
    fill: var(--metal-dark);
  }
  .layer-2 {
    fill: color-mix(in srgb, var(--metal-dark) 60%, var(--paper));
  }
  .name {
    font-size: 13px;
  }
  .run rect {
    fill: var(--paper);
    stroke: var(--ink);
    cursor: pointer;
  }
  .run.current rect {
    fill: var(--olive-soft);
  }
  .run text {
    font-size: 13px;
    font-weight: 700;
    pointer-events: none;
  }
  .change {
    stroke: var(--dye);
    stroke-width: 1.5;
    stroke-dasharray: 5 4;
  }
</style>
