<script lang="ts">
  import type { TermPicture } from './term-pictures';

  /** What a term means, on a schematic: the part in color. */
  interface Props {
    term: string;
    picture: TermPicture;
  }
  let { term, picture }: Props = $props();
  const COLUMNS = [34, 64, 94, 124];
  const ROWS = [38, 64];
</script>

<svg viewBox="0 0 170 96" width="170" height="96" role="img" aria-label="Drawing: {term}">
  {#if picture.view === 'plan'}
    <path class="metal" d="M12 14H158V82H12Z" />
    {#each ROWS as y (y)}{#each COLUMNS as x (x)}<circle
          class="hole"
          cx={x}
          cy={y}
          r="5"
        />{/each}{/each}
  {:else if picture.view === 'section'}
    <path class="metal" d="M10 36h150v10h-150z" />
    <path class="under" d="M10 46h150v12h-150z" />
    <path class="rivet" d="M42 36a18 14 0 0 1 36 0h-8V84H50V36z" />
    <path class="rivet" d="M102 36a18 14 0 0 1 36 0h-8V58h10q4 5 0 11h-40q-4 -6 0 -11h10V36z" />
  {:else if picture.view === 'flush'}
    <path class="metal" d="M10 36h150v16h-150z" />
    <path class="under" d="M10 52h150v12h-150z" />
    <path class="rivet" d="M58 36h54l-17 14V64h9q4 5 0 11H66q-4 -6 0 -11h9V50z" />
  {:else}
    <path class="metal" d="M10 32H52L70 46H100L118 32H160V42H118L100 56H70L52 42H10Z" />
    <path class="under" d="M10 42H52L70 56H100L118 42H160V52H118L100 66H70L52 52H10Z" />
  {/if}
  {#each picture.paths as d (d)}<path class="meant" class:fill={picture.fill} {d} />{/each}
</svg>

<style>
  .metal {
    fill: var(--metal-light);
    stroke: var(--metal-edge);
  }
  .under {
    fill: var(--metal-dark);
    stroke: var(--metal-edge);
  }
  .rivet,
  .hole {
    fill: var(--panel);
    stroke: var(--ink);
    stroke-width: 1.3;
  }
  .meant {
    fill: none;
    stroke: var(--dye);
    stroke-width: 2.5;
  }
  .fill {
    fill: var(--dye-soft);
  }
</style>
