<script lang="ts">
  import { LOOKS_SAME_IN } from '$core/units/tolerance.ts';
  import { scaleLinear } from 'd3';
  import type { Plan } from '$core/plan/plan-shape.ts';
  import { shortPart } from '$core/plan/length-runs.ts';
  import { layerProfile } from '$core/stack/layer-profile.ts';
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
  const profile = $derived(layerProfile(stacking?.layers ?? [], alongIn));
  /** an empty stack has no scale */
  const tallestIn = $derived(Math.max(LOOKS_SAME_IN, profile.tallestIn));
  const roomPx = $derived(Math.max(40, heightPx - TOP - RUN_PX - 58));
  const pxPerIn = $derived(roomPx / tallestIn);
  const enlarged = $derived(pxPerIn / ((widthPx - LEFT - RIGHT) / alongIn));

  const y = $derived((depthIn: number) => TOP + depthIn * pxPerIn);
  const pieces = $derived(
    profile.pieces.map((piece) => ({
      index: piece.layer,
      name: stacking?.layers[piece.layer]?.name ?? '',
      d: `M${x(piece.fromIn)} ${y(piece.topFromIn)} L${x(piece.toIn)} ${y(piece.topToIn)} V${y(piece.topToIn + piece.thickToIn)} L${x(piece.fromIn)} ${y(piece.topFromIn + piece.thickFromIn)} Z`
    }))
  );
  const spread = $derived(
    profile.middlesIn.reduce<number[]>(
      (placed, middleIn) => [...placed, Math.max(y(middleIn), (placed.at(-1) ?? -Infinity) + 16)],
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
        <path class="layer layer-{piece.index % 3}" d={piece.d} data-hint={piece.name} />
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
      {#each profile.placesIn.slice(1, -1) as at (at)}
        <text class="draw-note" x={x(at)} y={runY + RUN_PX + 18} text-anchor="middle"
          >{preferences.text(at)}</text
        >
      {/each}
    </svg>
  {:else}
    <p class="hint">Layers are drawn when the layout is complete.</p>
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
    font-size: 14px;
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
    font-size: 14px;
    font-weight: 700;
    pointer-events: none;
  }
  .change {
    stroke: var(--dye);
    stroke-width: 1.5;
    stroke-dasharray: 5 4;
  }
</style>
