<script lang="ts">
  import { writeDecimal } from '$core/units/format-length.ts';
  import { atLeast, atMost } from '$core/units/tolerance.ts';

  /** Where a value stands between its two limits. */
  interface Props {
    low: number;
    high: number;
    value: number;
    unit: string;
  }
  let { low, high, value, unit }: Props = $props();
  const inside = $derived(atLeast(value, low) && atMost(value, high));
  // A value outside is drawn just past the end, so that it is seen to be outside.
  const place = $derived(
    Math.max(-6, Math.min(106, high > low ? (100 * (value - low)) / (high - low) : 50))
  );
  const show = (limit: number) => writeDecimal(limit, 0, 2);
</script>

<span
  class="bar"
  class:outside={!inside}
  role="img"
  aria-label="{writeDecimal(value, 0, 2)} {unit}, limits {show(low)} to {show(high)} {unit}{inside
    ? ''
    : ', outside'}"
  data-hint="{writeDecimal(value, 2, 4)} {unit}"
>
  <span class="track"><span class="mark" style:left="{place}%"></span></span>
  <span class="ends"><span>{show(low)}</span><span>{show(high)} {unit}</span></span>
</span>

<style>
  .bar {
    display: block;
    padding: 4px 8px 0;
  }
  .track {
    display: block;
    position: relative;
    height: 5px;
    border-radius: 3px;
    background: var(--metal-dark);
  }
  .mark {
    position: absolute;
    top: -5px;
    width: 15px;
    height: 13px;
    margin-left: -7.5px;
    background: var(--olive-fill);
    clip-path: polygon(0 0, 100% 0, 50% 100%);
  }
  .outside .mark {
    background: var(--brick-line);
  }
  .ends {
    display: flex;
    justify-content: space-between;
    margin-top: 3px;
    font-size: var(--small);
    color: var(--ink-soft);
    white-space: nowrap;
  }
</style>
