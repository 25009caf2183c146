<script lang="ts">
  import type { SeenFlag } from '$core/inspect/findings.ts';

  /** What a finding looks like, drawn to be recognized: a rivet in two sheets, cut through or seen from above. */
  interface Props {
    flag: SeenFlag;
  }
  let { flag }: Props = $props();
  const FROM_ABOVE: readonly SeenFlag[] = [
    'cracked',
    'off-centre',
    'bar-mark',
    'smile',
    'ring-mark',
    'dimple-crack'
  ];
  const above = $derived(FROM_ABOVE.includes(flag));
  const FLUSH: readonly SeenFlag[] = ['not-flush-high', 'not-flush-low'];
</script>

<svg viewBox="0 0 72 52" aria-hidden="true">
  {#if above}
    <rect class="sheet" x="1" y="1" width="70" height="50" />
    {#if flag === 'off-centre'}
      <circle class="hole" cx="36" cy="26" r="9" />
      <circle class="metal see" cx="43" cy="29" r="13" />
      <path class="wrong" d="M26 24 l3 -1" />
      <circle class="wrong dash" cx="36" cy="26" r="9" />
    {:else if flag === 'dimple-crack'}
      <circle class="hole" cx="36" cy="26" r="19" />
      <circle class="metal" cx="36" cy="26" r="12" />
      <path class="wrong" d="M48 20 L60 12 M50 31 L58 38" />
    {:else}
      <circle class="metal" cx="36" cy="26" r="15" />
      {#if flag === 'cracked'}<path
          class="wrong"
          d="M36 11 L34 19 L38 23 M51 27 L44 28 L40 33 M24 36 L30 32"
        />{/if}
      {#if flag === 'bar-mark'}<path class="wrong" d="M24 20 L50 34 M27 17 L52 30" />{/if}
      {#if flag === 'smile'}<path class="wrong" d="M25 30 A12 12 0 0 0 47 30" />{/if}
      {#if flag === 'ring-mark'}<path
          class="wrong"
          d="M16 26 A20 20 0 0 1 46 9 M56 26 A20 20 0 0 1 40 46"
        />{/if}
    {/if}
  {:else}
    {#if flag === 'distorted'}
      <path class="sheet" d="M1 20 H18 Q36 27 54 20 H71 V27 H54 Q36 34 18 27 H1 Z" />
      <path class="sheet" d="M1 27 H18 Q36 35 54 27 H71 V34 H54 Q36 42 18 34 H1 Z" />
    {:else if flag === 'swelled-between'}
      <rect class="sheet" x="1" y="15" width="70" height="8" />
      <rect class="sheet" x="1" y="28" width="70" height="8" />
      <ellipse class="metal" cx="36" cy="25.5" rx="15" ry="3" />
      <path class="wrong" d="M56 23 V28 M14 23 V28" />
    {:else}
      <rect class="sheet" x="1" y="18" width="70" height="8" />
      <rect class="sheet" x="1" y="26" width="70" height="8" />
    {/if}
    <rect class="metal" x="29" y="14" width="14" height="24" />
    {#if FLUSH.includes(flag)}
      <path
        class="metal"
        d={flag === 'not-flush-high' ? 'M22 13 H50 L43 21 H29 Z' : 'M24 22 H48 L43 27 H29 Z'}
      />
      <path
        class="wrong"
        d={flag === 'not-flush-high' ? 'M8 18 H20 M14 17 V13' : 'M8 18 H20 M14 18 V22'}
      />
    {:else if flag === 'open-head'}
      <path class="metal" d="M20 12 Q36 0 52 12 Z" />
      <path class="wrong" d="M18 15 H29 M43 15 H54" />
    {:else}
      <path class="metal" d="M20 18 Q36 2 52 18 Z" />
    {/if}
    {#if flag === 'tilted'}<path class="metal" d="M25 34 H47 V46 L25 40 Z" /><path
        class="wrong"
        d="M22 40 H50 M47 40 V46"
      />
    {:else if flag === 'clinched'}<path
        class="metal"
        d="M29 34 H43 Q52 36 56 44 Q48 47 40 42 L29 38 Z"
      /><path class="wrong" d="M44 36 Q54 39 57 45" />
    {:else if flag === 'bar-dent'}<path class="metal" d="M25 34 H47 V42 H25 Z" /><path
        class="wrong"
        d="M54 34 Q59 29 64 34"
      />
    {:else}<path class="metal" d="M25 34 H47 Q49 38 47 42 H25 Q23 38 25 34 Z" />{/if}
  {/if}
</svg>

<style>
  svg {
    width: 72px;
    height: 52px;
    flex: none;
  }
  .sheet {
    fill: var(--bench);
    stroke: var(--metal-dark);
    stroke-width: 1;
  }
  .metal {
    fill: var(--panel);
    stroke: var(--ink);
    stroke-width: 1.4;
  }
  .see {
    fill-opacity: 0.75;
  }
  .hole {
    fill: var(--paper);
    stroke: var(--ink-soft);
    stroke-width: 1.2;
  }
  .wrong {
    fill: none;
    stroke: var(--brick);
    stroke-width: 2.4;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .dash {
    stroke-dasharray: 3 3;
    stroke-width: 1.6;
  }
</style>
