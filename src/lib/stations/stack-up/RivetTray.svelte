<script lang="ts">
  import { alloyFacts } from '$core/catalog/alloys.ts';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import type { BillOfRivets } from '$core/stack/bill-of-rivets.ts';
  import { partNumber } from '$core/stack/part-number.ts';
  import { sectionOf } from '$core/stack/section.ts';
  import HeadMark from '$lib/drawing/head/HeadMark.svelte';
  import { closedPath } from '$lib/drawing/section/section-paths';
  import { useStock } from '$lib/client/stock';

  /** The bill as a tray: a compartment a rivet, all to one scale, with the head's mark, how many, and from which drawer. */
  interface Props {
    lines: BillOfRivets['lines'];
  }
  let { lines }: Props = $props();
  const stock = useStock();
  const HIGH_PX = 150;
  const WIDE_PX = 210;

  const rivets = $derived(
    lines.flatMap((line) => {
      const read = partNumber({ text: line.partNumber });
      if (!read.ok) return [];
      const rivet = read.result;
      const size = rivetSize(rivet.dash);
      const head = size.head[rivet.head];
      const section = sectionOf([], [], rivet, {
        holeIn: size.diameterIn,
        lengthIn: rivet.lengthIn,
        besideIn: head.diameterIn
      });
      const drawers = stock.drawers.filter((bin) => bin.partNumber === line.partNumber);
      return [{ line, rivet, size, head, section, drawers }];
    })
  );
  /** one for all: a longer rivet looks longer */
  const pxPerIn = $derived(
    Math.min(
      ...rivets.map(({ section, rivet, head }) =>
        Math.min(
          (HIGH_PX - 24) / (section.headProudIn + rivet.lengthIn),
          (WIDE_PX - 40) / (2.2 * head.diameterIn)
        )
      )
    )
  );
</script>

<ul class="tray" data-testid="rivet-tray">
  {#each rivets as { line, rivet, size, head, section, drawers } (line.partNumber)}
    {@const axis = 16 + (head.diameterIn / 2) * pxPerIn}
    {@const faceY = 12 + section.headProudIn * pxPerIn}
    {@const shank = (size.diameterIn / 2) * pxPerIn}
    <li data-part={line.partNumber}>
      <svg
        viewBox="0 0 {WIDE_PX} {HIGH_PX}"
        role="img"
        aria-label="{line.partNumber} to scale, with its head mark"
      >
        <path
          class="metal"
          d="M{axis - shank} {faceY} V{faceY + rivet.lengthIn * pxPerIn} H{axis + shank} V{faceY} Z"
        />
        <path class="metal" d={closedPath(section.headIn, { axis, faceY, pxPerIn })} />
        <HeadMark
          shape={alloyFacts(rivet.alloy).shape}
          cx={WIDE_PX - 16 - (head.diameterIn / 2) * pxPerIn}
          cy={14 + (head.diameterIn / 2) * pxPerIn}
          radius={(head.diameterIn / 2) * pxPerIn}
        />
      </svg>
      <strong>{line.partNumber}</strong>
      <p>Release <b>{line.toDraw}</b> <small>({line.needed} + {line.spares} spare)</small></p>
      {#each drawers as drawer (drawer.id)}
        <p>
          {drawer.place || 'no location'}, lot {drawer.lot}, {drawer.count} in stock{drawer.cold
            ? ', refrigerated'
            : ''}
        </p>
      {:else}
        <p class="fails-strong">✕ out of stock</p>
      {/each}
    </li>
  {/each}
</ul>
<p class="hint">All compartments to one scale, {(pxPerIn / 96).toFixed(1)} × full size.</p>

<style>
  .tray {
    display: flex;
    flex-wrap: wrap;
    gap: 3px;
    padding: 3px;
    width: fit-content;
    background: var(--metal-edge);
    border-radius: 8px;
  }
  li {
    width: 230px;
    padding: 8px 10px;
    background: var(--panel);
    line-height: 1.3;
  }
  svg {
    width: 100%;
    height: auto;
  }
  .metal {
    fill: var(--metal-light);
    stroke: var(--ink);
    stroke-width: 1.5;
    stroke-linejoin: round;
  }
</style>
