<script lang="ts">
  import type { Glyph } from './glyph';

  /** A mark around 0,0 inside an svg. */
  interface Props {
    glyph: Glyph;
  }
  let { glyph }: Props = $props();
  const tone = (name: string | undefined) => (name === undefined ? 'none' : `var(--${name})`);
</script>

{#each glyph as { d, fill, line, width, dash }, at (at)}
  <path
    {d}
    fill={tone(fill)}
    stroke={tone(line)}
    stroke-width={width}
    stroke-dasharray={dash}
    stroke-linecap="round"
    stroke-linejoin="round"
  />
{/each}
