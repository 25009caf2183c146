<script lang="ts">
  import { STAGES } from '$lib/api/job-lines.ts';
  import { STAGE_MARKS } from '$lib/words/stage-marks.ts';

  /** What the seven marks of a joint’s line stand for. */
</script>

<p class="hint" data-testid="stage-key">
  {#each STAGES as [key, name], at (key)}{at + 1}&nbsp;{name}{at < STAGES.length - 1
      ? ', '
      : ''}{/each}:
  {#each Object.values(STAGE_MARKS) as { sign, says } (says)}<span>{sign} {says}</span>{/each}
</p>

<style>
  p {
    display: flex;
    flex-wrap: wrap;
    gap: 0 10px;
  }
</style>
