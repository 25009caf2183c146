<script lang="ts">
  import type { FlushTool } from '$core/stack/flush-tools.ts';
  import type { Section } from '$core/stack/section.ts';
  import { below } from '$core/units/tolerance.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { SectionPlace } from './section-paths';

  /** Angles of cuts and dimples beside their sheets, and the wall that a cut leaves. */
  interface Props {
    tools: readonly FlushTool[];
    section: Section;
    place: SectionPlace;
    besidePx: number;
  }
  let { tools, section, place, besidePx }: Props = $props();
  const preferences = usePreferences();
  const y = $derived((inches: number) => place.faceY + inches * place.pxPerIn);
  const said = (tool: FlushTool): string =>
    tool.op === 'countersink'
      ? `cut ${tool.cutDeg}°`
      : tool.op === 'dimple'
        ? `dimple ${tool.punchDeg ?? '–'}/${tool.dieDeg ?? '–'}°`
        : '';
  /** what is said of each sheet, from the top: its tool, and for a cut what is left under it */
  const labels = $derived(
    tools.flatMap((tool, index) => {
      const sheet = section.sheets[index];
      if (!sheet || tool.op === 'plain') return [];
      const lines = [{ text: said(tool), at: y((sheet.topIn + sheet.bottomIn) / 2), bad: false }];
      if (tool.op !== 'countersink') return lines;
      const through = below(tool.wallIn, 0);
      const wall = preferences.text(Math.abs(tool.wallIn));
      const text = through ? `✕ ${wall} too deep` : `${wall} left under it`;
      const footIn = Math.min(sheet.bottomIn, sheet.topIn + tool.depthIn);
      return [...lines, { text, at: y((footIn + sheet.bottomIn) / 2), bad: through }];
    })
  );
  const STEP_PX = 17;
  const RISE_PX = 24;
  /** kept apart where sheets are thin on the screen */
  const spread = $derived(
    labels.map((label, index) => ({
      ...label,
      textY:
        Math.max(label.at + 4, (labels[0]?.at ?? 0) - RISE_PX + STEP_PX * index) -
        (index === 0 ? RISE_PX : 0)
    }))
  );
</script>

{#each spread as { text, at, textY, bad }, index (index)}
  <path
    class="leader"
    d="M{place.axis + besidePx - 4} {at} L{place.axis + besidePx + 12} {textY - 4} h6"
  />
  <text class="draw-note" class:bad x={place.axis + besidePx + 20} y={textY}>{text}</text>
{/each}

<style>
  .leader {
    fill: none;
    stroke: var(--ink-soft);
    stroke-width: 0.9;
  }
  .bad {
    font-weight: 700;
    fill: var(--brick);
  }
</style>
