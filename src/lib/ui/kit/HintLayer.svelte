<script lang="ts">
  import type { Component, ComponentProps } from 'svelte';
  import type Drawn from './HintPopover.svelte';
  import { hintOf } from './hint.ts';

  /**
   * Shows what an element’s `data-hint` says: on hover, when it is reached by keys, and on a long press, which a glove can
   * do. One for the whole page: numbers come by the hundred.
   */
  const REST_MS = 350;
  const PRESS_MS = 450;
  /** a finger that moves further scrolls */
  const STEADY_PX = 10;

  let HintPopover = $state.raw<Component<ComponentProps<typeof Drawn>> | null>(null);
  let shown = $state.raw<{ text: string; beside: Element } | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let pressed: { x: number; y: number } | null = null;

  const hinted = (target: EventTarget | null): Element | null =>
    target instanceof Element ? target.closest('[data-hint]') : null;

  function after(ms: number, beside: Element | null): void {
    clearTimeout(timer);
    if (!beside) return;
    timer = setTimeout(() => {
      const text = hintOf(beside);
      if (!text) return;
      void import('./HintPopover.svelte').then((module) => {
        HintPopover = module.default;
        shown = { text, beside };
      });
    }, ms);
  }
  function hide(): void {
    clearTimeout(timer);
    shown = null;
    pressed = null;
  }
  function over(event: PointerEvent): void {
    if (event.pointerType === 'touch') return;
    const beside = hinted(event.target);
    if (beside !== shown?.beside) hide();
    after(REST_MS, beside);
  }
  function down(event: PointerEvent): void {
    hide();
    if (event.pointerType !== 'touch') return;
    pressed = { x: event.clientX, y: event.clientY };
    after(PRESS_MS, hinted(event.target));
  }
  function move(event: PointerEvent): void {
    if (pressed && Math.hypot(event.clientX - pressed.x, event.clientY - pressed.y) > STEADY_PX)
      hide();
  }
  function up(event: PointerEvent): void {
    if (event.pointerType === 'touch' && !shown) clearTimeout(timer);
  }
  /** The press that opened a hint is no tap on what lies beneath, and no menu of the browser’s. */
  function swallow(event: Event): void {
    if (pressed && shown) event.preventDefault();
  }
</script>

<svelte:document
  onpointerover={over}
  onpointerdown={down}
  onpointermove={move}
  onpointerup={up}
  onpointercancel={hide}
  onscrollcapture={hide}
  oncontextmenu={swallow}
  onfocusin={(event) => {
    if (event.target instanceof Element && event.target.matches(':focus-visible'))
      after(REST_MS, hinted(event.target));
  }}
  onfocusout={hide}
  onkeydown={(event) => event.key === 'Escape' && hide()}
/>

{#if HintPopover && shown}
  <HintPopover text={shown.text} beside={shown.beside} onclose={hide} />
{/if}
