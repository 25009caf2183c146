<script lang="ts">
  import type { HoleMark } from '$core/releases/release-count.ts';
  import { RESULT_NAMES } from '$lib/words/results.ts';
  import { circle } from '$lib/ui/marks/glyph';
  import { verdictGlyph, type MarkKind } from '$lib/ui/marks/verdict-glyphs';
  import { endsOfRows, holeMapScene, type MapOf } from './hole-map-scene';
  import type { MapMark, NumberPlace } from './map-mark';
  import MarkMap from './MarkMap.svelte';

  /** Every hole of a release where it lies, marked by its verdict; seen from the driven side. */
  interface Props extends MapOf {
    /** what each hole comes to */
    results: ReadonlyMap<number, HoleMark>;
    onItsWay: (hole: number) => boolean;
    picked: number;
  }
  let { holes, heldOpen, widthIn, overlapIn, results, onItsWay, picked, onpick }: Props = $props();

  let roomPx = $state(800);
  const scene = $derived(
    holeMapScene(holes, heldOpen, { widthIn, heightIn: overlapIn }, roomPx, true)
  );
  const kindOf = (hole: number): MarkKind =>
    onItsWay(hole) ? 'sending' : (results.get(hole) ?? 'to-do');
  const marks = $derived(
    holes.map((hole): MapMark => {
      const { number } = hole;
      const kind = kindOf(number);
      const glyph = verdictGlyph(kind, scene.radius);
      return {
        number,
        ...scene.at(hole),
        glyph:
          number === picked
            ? [...glyph, { d: circle(scene.radius + 6), line: 'dye', width: 3 }]
            : glyph,
        label: `hole ${number}, ${RESULT_NAMES[kind]}`,
        data: { 'data-verdict': kind }
      };
    })
  );
  const numbers = $derived(
    new Map(endsOfRows(holes, scene).map((number): [number, NumberPlace] => [number, 'above']))
  );
</script>

<MarkMap
  {scene}
  {marks}
  {numbers}
  {picked}
  label="Hole map by result"
  testId="hole-map"
  {heldOpen}
  {widthIn}
  datum="datum edge, right hand from this side"
  order={holes.map(({ number }) => number)}
  {onpick}
  bind:roomPx
/>
