<script lang="ts" module>
  import { KIT } from '$lib/words/pages/kit';
  import type { MarkKind } from '../marks/verdict-glyphs';

  /** The word that goes with each shape. */
  export const MARK_WORDS: Record<MarkKind, string> = {
    accept: 'good',
    'not-complete': 'not complete',
    'on-condition': 'accept if straight and sheets flat',
    'drive-more': 'drive further',
    replace: KIT.drillOut,
    refer: 'refer',
    measure: 'measure again',
    out: 'empty hole',
    left: 'left as is (engineering)',
    'to-do': 'not inspected',
    sending: 'sending'
  };
</script>

<script lang="ts">
  import Glyph from '../marks/Glyph.svelte';
  import { verdictGlyph } from '../marks/verdict-glyphs';

  /** A verdict as a shape, drawn around 0,0 inside an svg; never colour alone. */
  interface Props {
    kind: MarkKind;
    radius: number;
  }
  let { kind, radius }: Props = $props();
</script>

<g aria-hidden="true"><Glyph glyph={verdictGlyph(kind, radius)} /></g>
