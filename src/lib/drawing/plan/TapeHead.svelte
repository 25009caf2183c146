<script lang="ts">
  import { LAYOUT } from '$lib/words/pages/layout';
  import type { LaidLine } from '$core/plan/holes.ts';
  import { RulerScale } from '$core/units/ruler.ts';
  import { same } from '$core/units/tolerance.ts';

  /** What the tape shows: which line, from where, on which ruler; and what stepping off would come to. */
  interface Props {
    lines: readonly LaidLine[];
    line: LaidLine | undefined;
    scale: RulerScale;
    datum: string;
    datums: readonly { value: string; text: string }[];
    /** null where the gaps are not equal */
    stepped: { errorIn: number; figure: string; unit: string } | null;
    online: (key: string) => void;
    onscale: (scale: RulerScale) => void;
    ondatum: (datum: string) => void;
    onread: () => void;
  }
  let { lines, line, scale, datum, datums, stepped, online, onscale, ondatum, onread }: Props =
    $props();
  const RULERS = RulerScale.options.map((value) => ({
    value,
    text:
      value === 'exact'
        ? 'none: exact'
        : value.endsWith('mm')
          ? value.replace('mm', ` ${LAYOUT.mm}`)
          : `${value} in`
  }));
  const exact = $derived(stepped !== null && same(stepped.errorIn, 0));
</script>

<header>
  <h2 class="sr-only">Running marks</h2>
  {#if lines.length > 1}
    <select
      class="field-box line"
      aria-label={LAYOUT.rivetLine}
      value={line?.key}
      onchange={(event) => online(event.currentTarget.value)}
    >
      {#each lines as other (other.key)}<option value={other.key}>{other.name}</option>{/each}
    </select>
  {/if}
  <label class="ruler">
    <span class="hint">from</span>
    <select
      class="field-box"
      aria-label={LAYOUT.datum}
      value={datum}
      onchange={(event) => ondatum(event.currentTarget.value)}
    >
      {#each datums as option (option.value)}<option value={option.value}>{option.text}</option
        >{/each}
    </select>
  </label>
  <label class="ruler">
    <span class="hint">Scale</span>
    <select
      class="field-box"
      aria-label={LAYOUT.ruler}
      value={scale}
      onchange={(event) => onscale(RulerScale.parse(event.currentTarget.value))}
    >
      {#each RULERS as ruler (ruler.value)}<option value={ruler.value}>{ruler.text}</option>{/each}
    </select>
  </label>
  {#if stepped !== null}
    <p class="stepped" class:off={!exact} data-testid="stepped-off">
      {#if exact}
        Dividers: last hole on position.
      {:else}
        Dividers: last hole {stepped.figure}
        {stepped.unit}
        {stepped.errorIn > 0 ? 'long' : 'short'}.
      {/if}
    </p>
  {/if}
  <button data-testid="read-out" class="act read" type="button" onclick={onread}
    >Step through marks <kbd>R</kbd></button
  >
</header>

<style>
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 0.8rem;
    min-height: 46px;
  }
  h2 {
    white-space: nowrap;
  }
  .ruler {
    display: flex;
    align-items: center;
    gap: 6px;
    white-space: nowrap;
  }
  header select {
    width: auto;
    max-width: 13rem;
    min-height: 44px;
    font-size: 0.95rem;
  }
  .stepped {
    margin-left: auto;
    font-size: var(--small);
    color: var(--ink-soft);
  }
  .stepped.off {
    color: var(--amber);
  }
  .read {
    margin-left: auto;
  }
  .stepped + .read {
    margin-left: 0;
  }
</style>
