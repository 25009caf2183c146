<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import {
    FIRST_TO_BE_GOOD,
    HeadHeight,
    HeadWidth,
    Seconds
  } from '$core/tool-setting/tool-moves.ts';
  import { lengthIn } from '$core/schema/fields.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { foundInWords, madeInWords, toolStatusInWords } from '$lib/words/tool-settings';
  import { whenInWords } from '$lib/words/when';
  import { firstProblem } from '$lib/ui/kit/field-problem';
  import LengthField from '../kit/LengthField.svelte';
  import TextField from '../kit/TextField.svelte';
  import SetTool from '../setting/SetTool.svelte';
  import DimpleLook, { asSeen, NOT_SEEN } from './DimpleSeen.svelte';
  import type { ToolDesk } from './tool-desk.svelte';

  /** A tool that is set: its first heads, and every look after them. */
  interface Props {
    desk: ToolDesk;
  }
  let { desk }: Props = $props();
  const preferences = usePreferences();
  const { setup } = $derived(desk.view);
  const { found, looks, withdrawn } = $derived(desk.state);
  const status = $derived(desk.status);
  const Grip = lengthIn('the grip', { above: 0, most: 4 });
  const text = (field: string) => desk.typed(field) ?? '';
  const read = $derived({
    diameter: HeadWidth.safeParse(text('diameter'), { reportInput: true }),
    height: HeadHeight.safeParse(text('head'), { reportInput: true }),
    grip: Grip.safeParse(text('grip'), { reportInput: true }),
    took: Seconds.safeParse(Number(text('took').trim() || NaN))
  });
  const lot = $derived(desk.typed('lot') ?? (setup.tool === 'dies' ? '' : setup.lot));
  let seen = $state({ ...NOT_SEEN });
  const dimple = $derived(asSeen(seen));
  const gripGood = $derived(text('grip').trim() === '' || read.grip.success);
  const tookGood = $derived(text('took').trim() === '' || read.took.success);
  const whole = $derived(
    setup.tool === 'dies'
      ? dimple !== null
      : read.diameter.success && read.height.success && gripGood && tookGood
  );
  const problem = (field: string, one: (typeof read)['diameter']) =>
    one.success || text(field).trim() === '' ? undefined : firstProblem(one.error);
  const look = $derived(looks.length >= FIRST_TO_BE_GOOD);
  const LEVELS = {
    released: 'good',
    look: 'attention',
    first: 'attention',
    trying: 'attention',
    bad: 'stop',
    withdrawn: 'stop'
  } as const;
  const VERDICTS = {
    accept: 'good',
    'drive-more': 'drive further',
    replace: 'replace',
    refer: 'refer'
  };
  function record(event: SubmitEvent): void {
    event.preventDefault();
    const { diameter, height, grip, took } = read;
    if (!whole) return;
    const what =
      dimple !== null
        ? { what: 'dimple' as const, ...dimple }
        : diameter.success && height.success
          ? {
              what: 'head' as const,
              diameterIn: diameter.data,
              heightIn: height.data,
              seconds: took.success ? took.data : null
            }
          : null;
    if (what === null) return;
    const kept = desk.add({
      kind: 'made',
      made: what,
      gripIn: grip.success ? grip.data : null,
      lot: lot.trim()
    });
    if (!kept) return;
    desk.clear('diameter', 'head', 'took');
    seen = { ...NOT_SEEN };
  }
</script>

{#if found}
  <SetTool
    tape="Write on the tape"
    title={look ? 'In-process check' : 'First three heads'}
    testid="tool-status"
    status={{ level: LEVELS[status.state], text: toolStatusInWords(status, preferences.inWords) }}
    look={status.state === 'bad' ? null : entry}
    {withdrawn}
    hint="e.g. adjuster turned, other rivet set. This setting is not suggested again."
    onwithdraw={(why) => desk.add({ kind: 'withdrawn', why })}
  >
    {#snippet marks()}<strong>{foundInWords(found, setup)}</strong>{/snippet}
    {#snippet about()}<p class="hint">{whenInWords(found.at)}, by {found.by}</p>{/snippet}
    {#snippet log()}
      {#if looks.length > 0}
        <ol>
          {#each looks as one (one.id)}
            <li class:bad={!one.good}>
              {one.good ? '✓' : '✕'}
              {madeInWords(one.made, preferences.inWords)}: {one.good
                ? VERDICTS.accept
                : one.verdict === 'accept'
                  ? 'conditional only'
                  : VERDICTS[one.verdict]}
              <small
                >{one.by.split(' ')[0]}, {whenInWords(one.at)}{one.lot === ''
                  ? ''
                  : `, lot ${one.lot}`}</small
              >
            </li>
          {/each}
        </ol>
      {/if}
    {/snippet}
  </SetTool>
{/if}

{#snippet entry()}
  <form class="rows" onsubmit={record}>
    {#if setup.tool === 'dies'}
      <DimpleLook bind:seen />
    {:else}
      <p class="hint">
        {look ? 'One head of the work' : 'New rivets, each driven in one pass at this setting'}:
        measure diameter and height.
      </p>
      <div class="in-two">
        <LengthField
          label={COMMON.diameter}
          value={text('diameter')}
          problem={problem('diameter', read.diameter)}
          oninput={(value) => desk.type('diameter', value)}
        />
        <LengthField
          label={setup.dimpled ? 'Height, from its dimple' : COMMON.height}
          value={text('head')}
          problem={problem('head', read.height)}
          oninput={(value) => desk.type('head', value)}
        />
        {#if setup.tool === 'gun'}
          <TextField
            name="took"
            label="It took, seconds"
            inputmode="decimal"
            maxlength={5}
            errors={tookGood ? undefined : ['a number of seconds']}
            bind:value={() => text('took'), (value) => desk.type('took', value)}
          />
        {/if}
        {#if look}
          <LengthField
            label="Grip at this hole"
            value={text('grip')}
            problem={problem('grip', read.grip)}
            whenEmpty="as set for, {preferences.inWords(setup.gripIn)}"
            oninput={(value) => desk.type('grip', value)}
          />
        {/if}
      </div>
    {/if}
    <TextField
      name="lot"
      label={COMMON.lot}
      maxlength={60}
      bind:value={() => lot, (value) => desk.type('lot', value)}
    />
    <button class="act main" disabled={!whole}
      >Save {setup.tool === 'dies' ? 'dimple' : 'head'}</button
    >
  </form>
{/snippet}

<style>
  ol {
    display: grid;
    gap: 4px;
  }
  .bad {
    color: var(--brick);
  }
  small {
    color: var(--ink-soft);
  }
</style>
