<script lang="ts">
  import { Progress } from '@skeletonlabs/skeleton-svelte';

  /** How much of something is done. */
  interface Props {
    label: string;
    value: number;
    max: number;
  }
  let { label, value, max }: Props = $props();
</script>

<Progress {value} {max} aria-label={label}>
  <Progress.Track><Progress.Range /></Progress.Track>
</Progress>
