<script lang="ts" module>
  export type LayoutView = 'plan' | 'headroom' | 'table' | 'others' | 'steps';
  /** how much of a long joint stands in a line */
  export type LineLength = 'short' | 'long' | 'whole';
</script>

<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { LAYOUT } from '$lib/words/pages/layout';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Choice from '../../ui/kit/Choice.svelte';

  /** What Lay out shows: the plan, its margins, its table, other ways, or the steps; and a long joint in which lines. */
  interface Props {
    view: LayoutView;
    onview: (view: LayoutView) => void;
    /** null where the joint is not told in lines */
    line: LineLength | null;
    online: (line: LineLength) => void;
    onfiles: () => void;
  }
  let { view, onview, line, online, onfiles }: Props = $props();
  const preferences = usePreferences();
  const metric = $derived(preferences.lengths === 'mm');
</script>

<div class="views">
  <Choice
    label="Drawing"
    quiet
    value={view}
    options={[
      { value: 'plan', text: 'Plan' },
      { value: 'headroom', text: LAYOUT.reworkMargin },
      { value: 'table', text: COMMON.table },
      { value: 'others', text: LAYOUT.alternatives },
      { value: 'steps', text: LAYOUT.layoutSteps }
    ]}
    onchoose={onview}
  />
  <span class="right">
    {#if line}
      <Choice
        label="Strip length"
        quiet
        value={line}
        options={[
          { value: 'short', text: metric ? '300 mm' : LAYOUT.n12In },
          { value: 'long', text: metric ? LAYOUT.n600Mm : LAYOUT.n24In },
          { value: 'whole', text: LAYOUT.whole }
        ]}
        onchoose={online}
      />
    {/if}
    <button class="act" type="button" onclick={onfiles}>{LAYOUT.files}</button>
  </span>
</div>

<style>
  .views {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    align-items: end;
    gap: 6px 10px;
  }
  /* five views are wider than a phone: they scroll, none is squeezed over another */
  .views > :global(:first-child) {
    max-width: 100%;
    overflow-x: auto;
  }
  .views > :global(:first-child label) {
    flex: none;
  }
  .right {
    display: flex;
    flex-wrap: wrap;
    justify-content: end;
    gap: 6px 10px;
  }
</style>
