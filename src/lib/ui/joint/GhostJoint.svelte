<script lang="ts">
  import { valueAt } from '$core/joint/paths.ts';
  import { kindOf } from '$core/kinds/joint.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import { fieldName } from '$lib/words/field-names';
  import { LAYOUT } from '$lib/words/pages/layout';
  import { understood } from '$lib/words/understood';
  import { sentence } from '$lib/words/writing';
  import KindPicture from './KindPicture.svelte';

  /** A joint before its figures: its kind in faint lines, with what is needed named on it; each figure that is typed takes its place. */
  const workspace = useWorkspace();
  const preferences = usePreferences();
  const entered = $derived(workspace.entered);
  const named = $derived([
    ...entered.sheets.map(({ id }) => `sheets.${id}.thicknessIn`),
    ...kindOf(entered).asks.size.flatMap((ask) =>
      ask.ask === 'length' && ask.whenEmpty === undefined && (ask.when?.(entered) ?? true)
        ? [ask.key]
        : []
    )
  ]);
  const fields = $derived(
    named.map((path) => {
      const typed = String(valueAt(entered, path) ?? '').trim();
      return {
        path,
        name: sentence(fieldName(path, entered)),
        typed,
        read: typed === '' ? '' : (understood(typed) ?? ''),
        wrong: workspace.problemAt(path) !== undefined && typed !== ''
      };
    })
  );
  const left = $derived(fields.filter(({ typed, wrong }) => typed === '' || wrong).length);
  /** faint at first, plainer with each figure */
  const drawn = $derived(0.3 + 0.6 * (1 - left / fields.length));
</script>

<section class="ghost" aria-label={LAYOUT.whatIsNeeded} data-testid="ghost" data-left={left}>
  <div class="picture" style:opacity={drawn}><KindPicture kind={entered.kind} /></div>
  <p class="label">{sentence(kindOf(entered).name)}, not to scale</p>
  <ul>
    {#each fields as { path, name, typed, read, wrong } (path)}
      <li class:has={typed !== '' && !wrong} class:wrong>
        <span class="name">{name}</span>
        <span class="value"
          >{typed === '' ? LAYOUT.fieldNeeded : `${typed} ${wrong ? '△' : ''}`}<small>{read}</small
          ></span
        >
      </li>
    {/each}
  </ul>
  <p class="hint">{LAYOUT.ghostHint(preferences.lengths === 'mm')}</p>
</section>

<style>
  .ghost {
    display: grid;
    justify-items: center;
    gap: 12px;
    width: min(620px, 100%);
    margin: 0 auto;
    padding: 12px;
  }
  .picture {
    width: min(420px, 100%);
  }
  .picture :global(svg) {
    width: 100%;
    height: auto;
  }
  .picture :global(path) {
    vector-effect: non-scaling-stroke;
    stroke-width: 1.5px;
    stroke-dasharray: 6 4;
  }
  .picture :global(circle) {
    fill: none;
    stroke: var(--dye);
    vector-effect: non-scaling-stroke;
  }
  ul {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
    gap: 8px;
    width: 100%;
  }
  li {
    display: flex;
    justify-content: space-between;
    gap: 10px;
    padding: 8px 12px;
    border: 1.5px dashed var(--line-strong);
    border-radius: 8px;
    background: var(--panel);
  }
  .has {
    border-style: solid;
    border-color: var(--olive);
  }
  .wrong {
    border-color: var(--amber-line);
    background: var(--amber-soft);
  }
  .value {
    font-weight: 700;
    text-align: right;
    font-variant-numeric: tabular-nums;
  }
  small {
    display: block;
    font-weight: 400;
    color: var(--ink-soft);
  }
</style>
