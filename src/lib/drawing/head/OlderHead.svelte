<script lang="ts">
  /** The shape of an older head, not to scale. */
  interface Props {
    head: 'round' | 'flat' | 'brazier';
  }
  let { head }: Props = $props();
  const PATHS = {
    round: 'M22 40 A24 26 0 0 1 70 40 Z',
    flat: 'M20 40 V28 H72 V40 Z',
    brazier: 'M12 40 Q46 14 80 40 Z'
  };
</script>

<svg viewBox="0 0 92 92" width="92" height="92" aria-hidden="true">
  <path d="M34 40 V86 H58 V40 Z" />
  <path d={PATHS[head]} />
</svg>

<style>
  path {
    fill: var(--metal-light);
    stroke: var(--ink);
    stroke-width: 1.8;
    stroke-linejoin: round;
  }
</style>
