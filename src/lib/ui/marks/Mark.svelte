<script lang="ts" module>
  /** The shop's own signs, in strokes on a field of 24 by 24. */
  const STROKES = {
    /** the bar one divides under on paper */
    arithmetic: 'M4 20C8 15 8 9 4 4H21M11 10H19M11 14.5H17',
    /** a bench with its vise */
    bench: 'M2 11H22M5 11V21M19 11V21M13 11V7H19V11M11 5H21M13 5V7',
    /** a countersink cage on its foot */
    setups:
      'M9.5 2H14.5V7H9.5ZM7.5 7H16.5V14H7.5ZM9 14V18H7M15 14V18H17M12 14V18L9.5 21H14.5L12 18',
    /** a cabinet of small drawers */
    stock: 'M3 3H21V21H3ZM3 9H21M3 15H21M12 3V21M7 6H8M16 6H17M7 12H8M16 12H17M7 18H8M16 18H17',
    /** a rivet with its head up */
    rivets: 'M4 10C4 3 20 3 20 10ZM9 10V20H15V10',
    /** a steel rule, its divisions */
    rules: 'M2 7H22V17H2ZM6 7V11M10 7V13M14 7V11M18 7V13',
    /** a card box, one card drawn */
    records: 'M3 10H21V21H3ZM3 14H9C9 17 15 17 15 14H21M6 10V3H18V10M9 6.5H15',
    /** the lamp over the bench, lit and unlit */
    day: 'M12 2V6M5 14C5 9 8 6 12 6C16 6 19 9 19 14ZM8 18L6.5 21M12 18V22M16 18L17.5 21',
    night: 'M12 2V6M5 14C5 9 8 6 12 6C16 6 19 9 19 14ZM10 14C10 17 14 17 14 14',
    /** a tool check with its hole */
    who: 'M12 2.5A9.5 9.5 0 1 0 12.01 2.5ZM12 5.5A1.2 1.2 0 1 0 12.01 5.5ZM8 17C8 12.5 16 12.5 16 17M12 9.5A2 2 0 1 0 12.01 9.5Z'
  } as const;
  export type MarkName = keyof typeof STROKES;
</script>

<script lang="ts">
  interface Props {
    name: MarkName;
    size?: number;
  }
  let { name, size = 22 }: Props = $props();
</script>

<svg width={size} height={size} viewBox="0 0 24 24" aria-hidden="true" data-sign={name}
  ><path d={STROKES[name]} /></svg
>

<style>
  path {
    fill: none;
    stroke: currentcolor;
    stroke-width: 1.8;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
</style>
