<script lang="ts" module>
  export type LayoutView = 'plan' | 'headroom' | 'table' | 'others' | 'steps';
  /** how much of a long joint stands in a line */
  export type LineLength = 'short' | 'long' | 'whole';
</script>

<script lang="ts">
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
      { value: 'headroom', text: 'Rework margin' },
      { value: 'table', text: 'Table' },
      { value: 'others', text: 'Alternatives' },
      { value: 'steps', text: 'Layout steps' }
    ]}
    onchoose={onview}
  />
  <span class="right">
    {#if line}
      <Choice
        label="Length of a line"
        quiet
        value={line}
        options={[
          { value: 'short', text: metric ? '300 mm' : '12 in' },
          { value: 'long', text: metric ? '600 mm' : '24 in' },
          { value: 'whole', text: 'Whole' }
        ]}
        onchoose={online}
      />
    {/if}
    <button class="act" type="button" onclick={onfiles}>Files</button>
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
