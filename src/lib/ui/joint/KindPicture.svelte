<script lang="ts">
  import { kindOf, type JointKind } from '$core/kinds/joint.ts';

  /** What a kind of joint looks like from above, in a few strokes. */
  interface Props {
    kind: JointKind;
  }
  let { kind }: Props = $props();
  const picture = $derived(kindOf({ kind }).picture);
</script>

<svg viewBox="0 0 70 44" width="84" height="53" aria-hidden="true">
  {#each picture.strokes as { look, path } (path)}<path
      class={look}
      d={path}
      fill-rule="evenodd"
    />{/each}
  {#each picture.holes as [cx, cy] (`${cx},${cy}`)}<circle class="hole" {cx} {cy} r="1.9" />{/each}
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
