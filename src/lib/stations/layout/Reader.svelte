<script lang="ts">
  import { LAYOUT } from '$lib/words/pages/layout';
  import { COMMON } from '$lib/words/pages/common';
  import ColdLines from '../../ui/cold/ColdLines.svelte';
  import Progress from '../../ui/kit/Progress.svelte';
  import WholeScreen from '../../ui/kit/WholeScreen.svelte';
  import Music from '@lucide/svelte/icons/music';
  import Volume2 from '@lucide/svelte/icons/volume-2';
  import VolumeX from '@lucide/svelte/icons/volume-x';
  import X from '@lucide/svelte/icons/x';
  import { runningMarkIn, type LaidLine, type PlannedHole } from '$core/plan/holes.ts';
  import { formatLength, type LengthStyle } from '$core/units/format-length.ts';
  import type { RulerScale } from '$core/units/ruler.ts';
  import MiniPlan from './MiniPlan.svelte';
  import { fromFarEdge, readingOrder, spoken } from './reading';
  import { rowTone } from './row-tone';

  /** One mark at a time in digits readable from across the bench; on by space, a tap, an arrow or a foot switch. */
  interface Props {
    lines: readonly LaidLine[];
    holes: readonly PlannedHole[];
    scale: RulerScale;
    datumWords: (line: LaidLine | undefined) => string;
    picked: number;
    onpick: (hole: number) => void;
    onclose: () => void;
  }
  let { lines, holes, scale, datumWords, picked, onpick, onclose }: Props = $props();
  const style = $derived<LengthStyle>(
    scale.endsWith('mm') ? 'mm' : scale === '1/32' || scale === '1/64' ? scale : 'decimal'
  );
  const order = $derived(readingOrder(lines));
  const at = $derived(
    Math.max(
      0,
      order.findIndex(({ hole }) => hole === picked)
    )
  );
  const current = $derived(order[at]);
  const line = $derived(lines.find(({ key }) => key === current?.line));
  const hole = $derived(holes.find(({ number }) => number === current?.hole));
  const markIn = $derived(line && hole ? runningMarkIn(line, hole) : 0);
  const written = $derived(formatLength(Math.abs(markIn), style));
  const cross = $derived(
    hole?.crossMarkIn === null || hole === undefined
      ? null
      : formatLength(Math.abs(hole.crossMarkIn), style)
  );
  /** from the other end of the line: a second way to measure the same mark */
  const back = $derived.by(() => {
    if (!line || !hole || line.path.path !== 'straight') return null;
    const { edge, awayIn } = fromFarEdge({ path: line.path, datumIn: line.datumIn }, markIn);
    return { edge, ...formatLength(awayIn, style === 'mm' ? 'mm' : 'decimal') };
  });
  let toned = $state(false);
  const canSpeak = typeof window !== 'undefined' && 'speechSynthesis' in window;
  let speaks = $state(false);
  let finished = $state(false);

  function say(): void {
    if (!speaks || !canSpeak || !hole) return;
    window.speechSynthesis.cancel();
    const text = cross
      ? `${spoken(written.figure, written.unit)} ${markIn < 0 ? 'left' : 'right'}, ${spoken(cross.figure, cross.unit)} ${(hole.crossMarkIn ?? 0) < 0 ? 'up' : 'down'}`
      : spoken(written.figure, written.unit);
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(text));
  }
  $effect(() => {
    if (!current) return;
    if (toned) rowTone(lines.findIndex(({ key }) => key === current.line));
    say();
  });
  function go(by: 1 | -1): void {
    const next = order[at + by];
    finished = next === undefined && by === 1;
    if (next) onpick(next.hole);
  }
  /** Space and Enter press the button that has the focus; anywhere else they go on. */
  const pressesButton = ({ key, target }: KeyboardEvent): boolean =>
    (key === ' ' || key === 'Enter') &&
    target instanceof HTMLButtonElement &&
    !target.classList.contains('big');
  function onkeydown(event: KeyboardEvent): void {
    if (pressesButton(event)) return;
    const on = [' ', 'ArrowRight', 'ArrowDown', 'Enter', 'PageDown'];
    const back = ['ArrowLeft', 'ArrowUp', 'Backspace', 'PageUp'];
    if (event.key === 'Escape') onclose();
    else if (on.includes(event.key)) go(1);
    else if (back.includes(event.key)) go(-1);
    else return;
    event.preventDefault();
    event.stopPropagation();
  }
</script>

<WholeScreen label="Marks, one at a time" testid="reader" {onclose} {onkeydown}>
  <ColdLines />
  <div class="reader">
    <header>
      <p class="which">{line?.name ?? ''}</p>
      <p class="from">
        from {line?.path.path === 'circle' ? 'the center lines' : datumWords(line)}
      </p>
      <button
        class="act small"
        type="button"
        aria-pressed={toned}
        aria-label={LAYOUT.aToneForEachRow}
        onclick={() => (toned = !toned)}><Music size={22} /></button
      >
      {#if canSpeak}
        <button
          class="act small"
          type="button"
          aria-pressed={speaks}
          aria-label="Speak the marks"
          onclick={() => (speaks = !speaks)}
        >
          {#if speaks}<Volume2 size={22} />{:else}<VolumeX size={22} />{/if}
        </button>
      {/if}
      <button class="act small" type="button" aria-label={LAYOUT.closeTheReader} onclick={onclose}
        ><X size={22} /></button
      >
    </header>
    <button
      class="big"
      type="button"
      data-autofocus
      onclick={() => go(1)}
      aria-label={LAYOUT.nextMark}
    >
      {#if hole}
        <span class="number" class:warns-strong={hole.state === 'held-open'}>
          hole {hole.number}{hole.state === 'held-open' ? `, ◇ open hole: ${hole.reason}` : ''}
        </span>
        <span
          class="digits"
          class:long={written.figure.length > 5}
          class:two={cross !== null}
          data-testid="reader-mark"
        >
          {#if cross}<i>{markIn < 0 ? '←' : '→'}</i
            >{:else if markIn < 0 && line && line.datumIn > 0 && line.path.path === 'straight' && line.datumIn < line.path.lengthIn}<i
              >←</i
            >{/if}{written.figure}<small>{written.unit}</small>
        </span>
        {#if cross}
          <span class="digits two"
            ><i>{(hole.crossMarkIn ?? 0) < 0 ? '↑' : '↓'}</i>{cross.figure}<small
              >{cross.unit}</small
            ></span
          >
        {/if}
      {/if}
      {#if back}
        <span class="far" data-testid="reader-back"
          >from the {back.edge} edge {back.figure} {back.unit}</span
        >
      {/if}
      {#if finished}<span class="number"
          >Last mark. Count {holes.length} marks before drilling.</span
        >{/if}
    </button>
    <MiniPlan {lines} {holes} at={hole?.number ?? 0} line={current?.line ?? ''} />
    <footer>
      <button class="act" type="button" onclick={() => go(-1)} disabled={at === 0}
        >{COMMON.back2}</button
      >
      <div class="how-far">
        <Progress label="Marks read" value={at + 1} max={order.length} />
        <p data-testid="mark-now" data-at={at + 1}>mark {at + 1} of {order.length}</p>
      </div>
      <button class="act main" type="button" onclick={() => go(1)}>Next ›</button>
    </footer>
  </div>
</WholeScreen>

<style>
  .reader {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto minmax(0, 1fr) auto auto;
    min-height: 0;
    height: 100%;
  }
  header,
  footer {
    display: flex;
    align-items: center;
    gap: 12px;
    padding: 10px 16px;
    background: var(--panel);
  }
  .which {
    font-family: var(--head-font);
    font-weight: 600;
    font-size: clamp(1.2rem, 3vw, 2rem);
  }
  .from {
    flex: 1;
    color: var(--ink-soft);
  }
  .big {
    display: flex;
    flex-direction: column;
    align-items: center;
    justify-content: center;
    gap: 0.3rem;
    cursor: pointer;
    overflow: hidden;
  }
  .number {
    font-size: clamp(1.4rem, 4vw, 2.6rem);
    padding: 0 12px;
  }
  .far {
    font-size: clamp(1rem, 2.6vw, 1.6rem);
    color: var(--ink-soft);
    font-variant-numeric: tabular-nums;
  }
  .digits {
    font-weight: 700;
    font-size: min(24vw, 46vh);
    line-height: 1;
    white-space: nowrap;
    font-variant-numeric: tabular-nums;
  }
  .digits.long {
    font-size: min(17vw, 46vh);
  }
  .digits.two {
    font-size: min(17vw, 26vh);
  }
  .digits small {
    font-size: 0.22em;
    font-weight: 400;
    margin-left: 0.2em;
  }
  .digits i {
    font-style: normal;
    font-size: 0.6em;
    margin-right: 0.1em;
    color: var(--dye);
  }
  footer .act {
    min-height: 64px;
    min-width: 96px;
    font-size: 1.2rem;
  }
  .how-far {
    flex: 1;
    text-align: center;
  }
</style>
