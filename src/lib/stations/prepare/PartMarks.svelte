<script lang="ts">
  import type { orientationMarks } from '$core/prepare/orientation.ts';

  /** How the parts are marked, so that each goes back as it lay. */
  interface Props {
    marks: ReturnType<typeof orientationMarks>;
  }
  let { marks }: Props = $props();
</script>

<section aria-labelledby="parts">
  <h2 id="parts" class="label">Mark the parts</h2>
  {#each marks as mark (mark.part)}
    <p class="part-mark">
      <strong>{mark.part} of {mark.of}</strong>
      {mark.name}: {mark.face}<small
        >{'|'.repeat(mark.strokesAbove) || 'no stroke'} toward the head · {'|'.repeat(
          mark.strokesBelow
        ) || 'no stroke'} away from it, at the datum end</small
      >
    </p>
  {/each}
</section>

<style>
  .part-mark small {
    display: block;
    color: var(--ink-soft);
  }
  .part-mark {
    padding: 4px 0;
    line-height: 1.3;
  }
</style>
