<script lang="ts">
  import { verdictNow, type HoleState } from '$core/check/hole-events.ts';
  import { MARK_WORDS } from '$lib/ui/kit/VerdictMark.svelte';
  import { circle } from '$lib/ui/marks/glyph';
  import { verdictGlyph, type MarkKind } from '$lib/ui/marks/verdict-glyphs';
  import { holeMapScene, type MapOf } from './hole-map-scene';
  import type { MapMark, NumberPlace } from './map-mark';
  import MarkMap from './MarkMap.svelte';

  /** Every hole of an issue where it lies, marked by its verdict; seen from the driven side. */
  interface Props extends MapOf {
    states: Map<number, HoleState>;
    onItsWay: (hole: number) => boolean;
    /** what rework makes of it; null where nothing */
    reworked?: (hole: number) => 'out' | 'left' | null;
    picked: number;
  }
  let {
    holes,
    heldOpen,
    widthIn,
    overlapIn,
    states,
    onItsWay,
    reworked = () => null,
    picked,
    onpick
  }: Props = $props();

  let roomPx = $state(800);
  const scene = $derived(
    holeMapScene(holes, heldOpen, { widthIn, heightIn: overlapIn }, roomPx, true)
  );
  const kindOf = (hole: number): MarkKind => {
    if (onItsWay(hole)) return 'sending';
    const state = states.get(hole);
    return reworked(hole) ?? (state ? verdictNow(state) : null) ?? 'to-do';
  };
  const marks = $derived(
    holes.map((hole): MapMark => {
      const { number } = hole;
      const kind = kindOf(number);
      const glyph = verdictGlyph(kind, scene.radius);
      return {
        number,
        x: scene.x(hole.xIn),
        y: scene.y(hole),
        glyph:
          number === picked
            ? [...glyph, { d: circle(scene.radius + 6), line: 'dye', width: 3 }]
            : glyph,
        label: `hole ${number}, ${MARK_WORDS[kind]}`,
        data: { 'data-verdict': kind }
      };
    })
  );
  /** the first and the last of each row */
  const numbers = $derived.by(() => {
    const ends = new Map<number, [number, number]>();
    for (const { number, row } of holes) ends.set(row, [ends.get(row)?.[0] ?? number, number]);
    return new Map(
      [...ends.values()].flat().map((number): [number, NumberPlace] => [number, 'above'])
    );
  });
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
  {onpick}
  bind:roomPx
/>
