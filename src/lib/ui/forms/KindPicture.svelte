<script lang="ts">
  import type { JointKind } from '$core/joint/kinds.ts';

  /** What a kind of joint looks like from above, in a few strokes. */
  interface Props {
    kind: JointKind;
  }
  let { kind }: Props = $props();
  const dots = (list: [number, number][]) => list;
  const HOLES: Record<JointKind, [number, number][]> = {
    lap: dots([
      [14, 22],
      [28, 22],
      [42, 22],
      [56, 22]
    ]),
    splice: dots([
      [14, 14],
      [32, 14],
      [50, 14],
      [14, 30],
      [32, 30],
      [50, 30]
    ]),
    patch: dots([
      [16, 8],
      [35, 8],
      [54, 8],
      [16, 36],
      [35, 36],
      [54, 36],
      [16, 22],
      [54, 22]
    ]),
    round: dots([
      [35, 6],
      [50, 14],
      [50, 30],
      [35, 38],
      [20, 30],
      [20, 14]
    ]),
    line: dots([
      [10, 18],
      [22, 18],
      [34, 18],
      [52, 18],
      [62, 18]
    ]),
    tapered: dots([
      [8, 22],
      [17, 22],
      [26, 22],
      [35, 22],
      [44, 22],
      [53, 22],
      [62, 22]
    ]),
    panel: dots([
      [14, 7],
      [28, 7],
      [42, 7],
      [56, 7],
      [14, 37],
      [28, 37],
      [42, 37],
      [56, 37]
    ]),
    sandwich: dots([
      [18, 18],
      [18, 28],
      [52, 18],
      [52, 28],
      [28, 18],
      [28, 28],
      [42, 18],
      [42, 28]
    ])
  };
</script>

<svg viewBox="0 0 70 44" width="84" height="53" aria-hidden="true">
  {#if kind === 'lap'}
    <rect class="under" x="4" y="4" width="62" height="24" /><rect
      class="over"
      x="4"
      y="16"
      width="62"
      height="24"
    />
  {:else if kind === 'splice'}
    <rect class="under" x="2" y="8" width="66" height="28" /><rect
      class="over"
      x="4"
      y="2"
      width="62"
      height="19"
    /><rect class="over" x="4" y="23" width="62" height="19" />
  {:else if kind === 'patch'}
    <rect class="over" x="2" y="2" width="66" height="40" /><rect
      class="dash"
      x="9"
      y="4"
      width="52"
      height="36"
    /><rect class="cut" x="23" y="13" width="24" height="18" rx="4" />
  {:else if kind === 'round'}
    <rect class="over" x="2" y="2" width="66" height="40" /><circle
      class="dash"
      cx="35"
      cy="22"
      r="20"
    /><circle class="cut" cx="35" cy="22" r="10" />
  {:else if kind === 'line'}
    <rect class="over" x="2" y="10" width="66" height="20" /><path class="dash" d="M2 25H68" /><rect
      class="block"
      x="40"
      y="10"
      width="7"
      height="20"
    />
  {:else if kind === 'tapered'}
    <path class="over" d="M2 10L68 15V29L2 34Z" />
  {:else if kind === 'panel'}
    <path class="over" fill-rule="evenodd" d="M4 2H66V42H4ZM14 12V32H56V12Z" />
  {:else}
    <rect class="over" x="2" y="14" width="31" height="18" /><rect
      class="over"
      x="37"
      y="14"
      width="31"
      height="18"
    /><rect class="strap" x="11" y="11" width="48" height="24" />
  {/if}
  {#each HOLES[kind] as [cx, cy] (`${cx},${cy}`)}<circle class="hole" {cx} {cy} r="1.9" />{/each}
</svg>

<style>
  .over {
    fill: var(--metal-light);
    stroke: var(--metal-edge);
  }
  .under {
    fill: var(--metal-dark);
    stroke: var(--metal-edge);
  }
  .strap {
    fill: color-mix(in srgb, var(--metal-dark) 55%, transparent);
    stroke: var(--metal-edge);
  }
  .dash {
    fill: none;
    stroke: var(--metal-edge);
    stroke-dasharray: 3 2;
  }
  .cut {
    fill: var(--paper);
    stroke: var(--ink);
  }
  .block {
    fill: var(--amber-soft);
    stroke: var(--amber);
  }
  .hole {
    fill: var(--dye);
  }
</style>
