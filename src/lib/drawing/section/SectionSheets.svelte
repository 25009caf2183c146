<script lang="ts">
  import type { Section } from '$core/stack/section.ts';
  import { mirroredPath, type SectionPlace } from './section-paths';

  /** The sheets of a section about one axis, hatched, with what lies between them. */
  interface Props {
    section: Section;
    place: SectionPlace;
    besidePx: number;
  }
  let { section, place, besidePx }: Props = $props();
  const y = $derived((inches: number) => place.faceY + inches * place.pxPerIn);
</script>

{#each section.sheets as sheet, index (index)}
  {@const path = mirroredPath(sheet.outlineIn, place)}
  <path class="band band-{index % 2}" d={path} />
  <path class="hatched hatched-{index % 2}" d={path} />
  {#if sheet.coatIn > 0}
    {#each [-1, 1] as side (side)}
      {@const inner = place.axis + side * sheet.holeRadiusIn * place.pxPerIn}
      <path
        class="coat"
        d="M{inner} {y(sheet.bottomIn)} H{place.axis + side * besidePx} V{y(
          sheet.bottomIn + sheet.coatIn
        )} H{inner} Z"
      />
    {/each}
  {/if}
{/each}

<style>
  .band {
    stroke: var(--metal-edge);
    stroke-width: 1.5;
    stroke-linejoin: round;
  }
  .band-0 {
    fill: var(--metal-light);
  }
  .band-1 {
    fill: var(--metal-dark);
  }
  .hatched-0 {
    fill: url(#hatch-a);
  }
  .hatched-1 {
    fill: url(#hatch-b);
  }
  .coat {
    fill: color-mix(in srgb, var(--olive) 55%, var(--paper));
    stroke: var(--olive-deep);
    stroke-width: 0.8;
  }
</style>
