<script lang="ts">
  import { ACCESS_PRESETS, type AccessPreset } from './access-presets';

  /** Places that one recognizes, as sections: the rivet's manufactured head is up, what stands in the way is hatched. */
  interface Props {
    chosen: AccessPreset['key'] | null;
    onchoose: (preset: AccessPreset) => void;
  }
  let { chosen, onchoose }: Props = $props();
</script>

{#snippet rivet(x: number)}
  <path class="rivet" d="M{x - 7} 40a7 6 0 0 1 14 0zM{x - 4} 40v14h8v-14zM{x - 6} 54h12v5h-12z" />
{/snippet}

<div class="presets" role="group" aria-label="Where the joint is">
  {#each ACCESS_PRESETS as preset (preset.key)}
    <button
      type="button"
      aria-pressed={chosen === preset.key}
      data-testid="preset-{preset.key}"
      onclick={() => onchoose(preset)}
    >
      <svg viewBox="0 0 160 92" aria-hidden="true">
        {#if preset.key === 'bench'}
          <path class="sheet" d="M14 40h92v7h-92zM54 47h92v7h-92z" />
          {@render rivet(80)}
          <path class="wall" d="M6 72h148v8H6z" />
          <path class="line" d="M18 54v18M142 54v18" />
        {:else if preset.key === 'stringer'}
          <path class="sheet" d="M8 40h144v7H8z" />
          <path class="wall" d="M50 47h62v7H58v34h-8z" />
          {@render rivet(88)}
        {:else if preset.key === 'flange'}
          <path class="sheet" d="M8 40h110v7H8z" />
          <path class="wall" d="M40 47h78v7H48v36h-8z" />
          {@render rivet(84)}
          <path class="free" d="M118 30v34" />
        {:else}
          <path class="sheet" d="M8 40h144v7H8z" />
          <path class="wall" d="M28 47h104v39H28zM36 54v25h88V54z" fill-rule="evenodd" />
          {@render rivet(80)}
        {/if}
      </svg>
      <strong>{preset.name}</strong>
      <span class="hint">{preset.says}</span>
    </button>
  {/each}
</div>

<style>
  .presets {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
    gap: 10px;
  }
  button {
    display: grid;
    align-content: start;
    gap: 4px;
    padding: 8px;
    border: 1.5px solid var(--line-strong);
    border-radius: 10px;
    background: var(--panel);
    text-align: left;
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    border-color: var(--ink);
    outline: 2px solid var(--ink);
    background: var(--bench);
  }
  svg {
    width: 100%;
    height: 84px;
  }
  .sheet {
    fill: var(--metal);
    stroke: var(--metal-edge);
  }
  .wall {
    fill: var(--metal-dark);
    stroke: var(--metal-edge);
    fill-rule: evenodd;
  }
  .rivet {
    fill: var(--metal-light);
    stroke: var(--ink);
    stroke-width: 1.4;
  }
  .line,
  .free {
    fill: none;
    stroke: var(--metal-edge);
    stroke-width: 1.4;
  }
  .free {
    stroke: var(--dye);
    stroke-dasharray: 4 3;
  }
</style>
