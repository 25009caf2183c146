<script lang="ts">
  import { LAYOUT } from '$lib/words/pages/layout';
  import { nextId } from '$core/joint/item-id.ts';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Arithmetic from '../../ui/kit/Arithmetic.svelte';
  import LengthField from '../../ui/kit/LengthField.svelte';
  import { spanInWords } from '$lib/words/spans';

  /** The distance between a line's end holes as measured on the metal, against the plan. */
  interface Props {
    /** the line's key */
    line: string;
  }
  let { line }: Props = $props();
  const preferences = usePreferences();
  const workspace = useWorkspace();
  const entry = $derived(workspace.entered.spans.find((one) => one.line === line));
  const found = $derived(workspace.now?.plan.spans.find((one) => one.line === line)?.found ?? null);

  function type(spanIn: string): void {
    const { spans } = workspace.entered;
    const changed = entry
      ? spans.map((one) => (one.id === entry.id ? { ...one, spanIn } : one))
      : [...spans, { id: nextId(spans, 'span'), line, spanIn }];
    // an emptied field is no measurement any more
    workspace.edit({ spans: changed.filter((one) => one.spanIn !== '') }, `spans.${line}`);
  }
</script>

<div class="span">
  <LengthField
    label={LAYOUT.betweenThemAsMeasured}
    value={entry?.spanIn ?? ''}
    placeholder="as planned"
    whenEmpty="not measured yet"
    problem={found && !found.ok ? { said: found.error.said, instead: null } : undefined}
    oninput={type}
  />
  {#if found?.ok}
    <p class:fails-strong={found.result.breaks !== null} data-testid="span-said">
      {spanInWords(found.result, preferences.inWords)}
    </p>
    {#if workspace.arithmetic}<Arithmetic work={found.work} />{/if}
  {/if}
</div>

<style>
  .span {
    display: grid;
    gap: 4px;
    margin-top: 6px;
  }
</style>
