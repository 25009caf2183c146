<script lang="ts">
  import Glyph from '../marks/Glyph.svelte';
  import { verdictGlyph, type MarkKind } from '../marks/verdict-glyphs';

  /** A verdict as a shape, drawn around 0,0 inside an svg; never colour alone. */
  interface Props {
    kind: MarkKind;
    radius: number;
  }
  let { kind, radius }: Props = $props();
</script>

<g aria-hidden="true"><Glyph glyph={verdictGlyph(kind, radius)} /></g>
