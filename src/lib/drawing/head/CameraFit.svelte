<script lang="ts" module>
  /** A circle on a head and a line on the scale, in the picture’s own pixels. */
  export interface FitPx {
    x: number;
    y: number;
    radius: number;
    /** ends of the scale */
    left: number;
    right: number;
    scaleY: number;
  }
</script>

<script lang="ts">
  import { dragged } from '../gestures/dragged';

  /** A camera’s picture with a circle to lay round the head and two marks to lay on the scale’s ends: by dragging, or by keys. */
  interface Props {
    picture: string;
    widthPx: number;
    heightPx: number;
    fit: FitPx;
    onfit: (fit: FitPx) => void;
  }
  let { picture, widthPx, heightPx, fit, onfit }: Props = $props();
  let svg = $state<SVGSVGElement>();
  const LEAST_PX = 4;
  const HANDLE_PX = 26;
  const FINE_PX = 0.5;
  const COARSE_PX = 8;
  const within = (value: number, most: number) => Math.min(most, Math.max(0, value));
  /** the picture’s pixels to one of the window’s */
  const per = () => widthPx / (svg?.getBoundingClientRect().width ?? widthPx);
  const set = (change: Partial<FitPx>) => {
    const next = { ...fit, ...change };
    onfit({
      x: within(next.x, widthPx),
      y: within(next.y, heightPx),
      radius: Math.max(LEAST_PX, Math.min(widthPx, next.radius)),
      left: within(Math.min(next.left, next.right - LEAST_PX), widthPx),
      right: within(Math.max(next.right, next.left + LEAST_PX), widthPx),
      scaleY: within(next.scaleY, heightPx)
    });
  };
  const from = () => fit;
  const moveCircle = dragged(from, (was, { dxPx, dyPx }) =>
    set({ x: was.x + dxPx * per(), y: was.y + dyPx * per() })
  );
  const sizeCircle = dragged(from, (was, { dxPx }) => set({ radius: was.radius + dxPx * per() }));
  const moveEnd = (end: 'left' | 'right') =>
    dragged(from, (was, { dxPx, dyPx }) =>
      set({ [end]: was[end] + dxPx * per(), scaleY: was.scaleY + dyPx * per() })
    );
  const moveLeft = moveEnd('left');
  const moveRight = moveEnd('right');
  const stepOf = (event: KeyboardEvent) => (event.shiftKey ? COARSE_PX : FINE_PX);
  const ALONG: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1]
  };
  function circleKeys(event: KeyboardEvent): void {
    const step = stepOf(event);
    const way = ALONG[event.key];
    const grow = event.key === '+' || event.key === '=' ? 1 : event.key === '-' ? -1 : 0;
    if (!way && grow === 0) return;
    event.preventDefault();
    set(
      way
        ? { x: fit.x + way[0] * step, y: fit.y + way[1] * step }
        : { radius: fit.radius + grow * step }
    );
  }
  function endKeys(event: KeyboardEvent, end: 'left' | 'right'): void {
    const way = ALONG[event.key];
    if (!way) return;
    event.preventDefault();
    const step = stepOf(event);
    set({ [end]: fit[end] + way[0] * step, scaleY: fit.scaleY + way[1] * step });
  }
</script>

<svg
  bind:this={svg}
  viewBox="0 0 {widthPx} {heightPx}"
  role="group"
  aria-label="Picture of the camera"
  data-testid="camera"
>
  <image href={picture} width={widthPx} height={heightPx} />
  <g
    class="circle"
    role="slider"
    tabindex="0"
    data-testid="circle"
    aria-label="Circle on the head: arrows move it, plus and minus size it, with shift by more"
    aria-valuenow={Math.round(fit.radius * 2)}
    aria-valuemin={LEAST_PX * 2}
    aria-valuemax={widthPx}
    aria-valuetext="{(fit.radius * 2).toFixed(1)} px across"
    data-radius={fit.radius}
    onkeydown={circleKeys}
    {@attach moveCircle}
  >
    <circle class="grip" cx={fit.x} cy={fit.y} r={fit.radius} />
    <circle class="under" cx={fit.x} cy={fit.y} r={fit.radius} />
    <circle class="rim" cx={fit.x} cy={fit.y} r={fit.radius} />
    <path class="rim" d="M{fit.x - 9} {fit.y}h18M{fit.x} {fit.y - 9}v18" />
  </g>
  <g class="handle" data-handle="size" {@attach sizeCircle}>
    <circle class="grip" cx={fit.x + fit.radius} cy={fit.y} r={HANDLE_PX} />
    <rect
      class="knob"
      x={fit.x + fit.radius - 9}
      y={fit.y - 9}
      width="18"
      height="18"
      transform="rotate(45 {fit.x + fit.radius} {fit.y})"
    />
  </g>
  <path class="under" d="M{fit.left} {fit.scaleY}H{fit.right}" />
  <path class="scale" d="M{fit.left} {fit.scaleY}H{fit.right}" />
  {#each [{ end: 'left', at: fit.left, attach: moveLeft }, { end: 'right', at: fit.right, attach: moveRight }] as const as { end, at, attach } (end)}
    <g
      class="handle"
      role="slider"
      tabindex="0"
      aria-label="{end} end of the scale: arrows move it, with shift by more"
      aria-valuenow={Math.round(at)}
      aria-valuemin={0}
      aria-valuemax={widthPx}
      data-handle={end}
      data-at={at}
      onkeydown={(event) => endKeys(event, end)}
      {@attach attach}
    >
      <circle class="grip" cx={at} cy={fit.scaleY} r={HANDLE_PX} />
      <path class="under" d="M{at} {fit.scaleY - 26}v52" />
      <path class="scale" d="M{at} {fit.scaleY - 26}v52" />
    </g>
  {/each}
</svg>

<style>
  svg {
    display: block;
    width: 100%;
    height: auto;
    border-radius: 8px;
    touch-action: none;
  }
  .grip {
    fill: transparent;
    stroke: none;
  }
  .rim {
    fill: none;
    stroke: var(--fit-line, #ffd54a);
    stroke-width: 2;
  }
  .scale {
    fill: none;
    stroke: var(--fit-line, #ffd54a);
    stroke-width: 2.5;
  }
  .under {
    fill: none;
    stroke: #101410;
    stroke-width: 5;
    opacity: 0.55;
  }
  .knob {
    fill: #ffd54a;
    stroke: #101410;
    stroke-width: 2;
  }
  .circle,
  .handle {
    cursor: move;
  }
  [role='slider']:focus-visible {
    outline: none;
  }
  [role='slider']:focus-visible .rim,
  [role='slider']:focus-visible .scale {
    stroke: #fff;
    stroke-width: 3.5;
  }
</style>
