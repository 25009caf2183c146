<script lang="ts">
  import { Slider } from '@skeletonlabs/skeleton-svelte';

  /** A place between two ends. */
  interface Props {
    label: string;
    value: number;
    max: number;
    /** the value as it is spoken */
    said: string;
    onchange: (value: number) => void;
  }
  let { label, value, max, said, onchange }: Props = $props();
</script>

<Slider
  value={[value]}
  min={0}
  {max}
  step={1}
  aria-label={[label]}
  getAriaValueText={() => said}
  onValueChange={(details) => {
    const [chosen] = details.value;
    if (chosen !== undefined && chosen !== value) onchange(chosen);
  }}
>
  <Slider.Control>
    <Slider.Track><Slider.Range /></Slider.Track>
    <Slider.Thumb index={0}><Slider.HiddenInput /></Slider.Thumb>
  </Slider.Control>
</Slider>
