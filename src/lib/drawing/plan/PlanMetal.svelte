<script lang="ts">
  import type { JointLayout } from '$core/plan/plan-shape.ts';
  import type { Spot } from './hole-marks';
  import { markNameAt } from './names';
  import { partPath, shapePath, type Place } from './part-path';

  /** Sheets, cut-out with its corner reliefs, stop-drilled holes and scribed lines of a plan view. */
  interface Props {
    layout: JointLayout;
    place: Place;
    /** what is written besides, for names to keep clear of */
    written?: readonly Spot[];
  }
  let { layout, place, written = [] }: Props = $props();
</script>

<defs>
  <linearGradient id="plan-metal" x1="0" y1="0" x2="0" y2="1">
    <stop offset="0" stop-color="var(--metal-light)" />
    <stop offset="1" stop-color="var(--metal)" />
  </linearGradient>
</defs>
{#each layout.parts as part (part.key)}
  <path
    class="part {part.layer}"
    fill-rule="evenodd"
    d={partPath(part, place)}
    data-hint={part.name}
  />
{/each}
{#each layout.parts.filter((part) => part.layer === 'under') as part (part.key)}
  <path class="hidden-edge" d={shapePath(part.outline, place, part.goesOn)} />
{/each}
{#if layout.cutOut}<path class="cut-out" d={shapePath(layout.cutOut, place)} />{/if}
{#each layout.reliefs as relief, index (index)}
  <circle
    class="relief"
    cx={place.x(relief.xIn)}
    cy={place.y(relief.yIn)}
    r={(relief.diameterIn / 2) * place.pxPerIn}
  />
  <path class="relief-centre" d="M{place.x(relief.xIn) - 4} {place.y(relief.yIn)}h8m-4 -4v8" />
{/each}
{#each layout.marksOnly as mark, index (index)}
  <path
    class="mark-only"
    d="M{place.x(mark.fromIn[0])} {place.y(mark.fromIn[1])}L{place.x(mark.toIn[0])} {place.y(
      mark.toIn[1]
    )}"
  />
  {@const at = markNameAt(mark, place, written)}
  <text class="mark-name" x={at.x} y={at.y} text-anchor={at.anchor}>{mark.name}</text>
{/each}
{#each layout.lines as line (line.key)}
  {#if line.path.path === 'straight'}
    {@const { xIn, yIn, dirX, dirY, lengthIn } = line.path}
    <path
      class="scribed"
      d="M{place.x(xIn) - 10 * dirX} {place.y(yIn) - 10 * dirY}L{place.x(xIn + dirX * lengthIn) +
        10 * dirX} {place.y(yIn + dirY * lengthIn) + 10 * dirY}"
    />
  {:else}
    <circle
      class="scribed"
      cx={place.x(line.path.xIn)}
      cy={place.y(line.path.yIn)}
      r={line.path.radiusIn * place.pxPerIn}
    />
    <path class="centre" d="M{place.x(line.path.xIn) - 9} {place.y(line.path.yIn)}h18m-9 -9v18" />
  {/if}
{/each}
{#each layout.drilledOnly as drilled, index (index)}
  <g transform="translate({place.x(drilled.xIn)} {place.y(drilled.yIn)})">
    <circle class="stop-drill" r={Math.max(3, (drilled.diameterIn / 2) * place.pxPerIn)} />
    <text class="mark-name" x="9" y="-6">{drilled.drill} stop-drill</text>
  </g>
{/each}

<style>
  .part {
    stroke: var(--metal-edge);
    stroke-width: 1.5;
  }
  .over {
    fill: url(#plan-metal);
    fill-opacity: 0.93;
  }
  .under {
    fill: var(--metal-dark);
  }
  .filler {
    fill: var(--metal-light);
  }
  .hidden-edge {
    fill: none;
    stroke: var(--metal-edge);
    stroke-dasharray: 6 4;
  }
  .cut-out {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.8;
  }
  .relief {
    fill: none;
    stroke: var(--dye);
    stroke-dasharray: 3 3;
  }
  .relief-centre,
  .centre {
    stroke: var(--dye);
  }
  .mark-only {
    stroke: var(--ink-soft);
    stroke-dasharray: 12 4 3 4;
  }
  .mark-name {
    font-size: 12px;
    fill: var(--ink);
    paint-order: stroke;
    stroke: var(--paper);
    stroke-width: 3;
  }
  .stop-drill {
    fill: var(--paper);
    stroke: var(--brick);
    stroke-width: 2;
  }
  .scribed {
    fill: none;
    stroke: var(--dye);
    stroke-width: 1.2;
  }
</style>
