<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import {
    FIRST_TO_BE_GOOD,
    HeadHeight,
    HeadWidth,
    Seconds
  } from '$core/tool-setting/tool-stream.ts';
  import { lengthIn } from '$core/schema/fields.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { foundInWords, madeInWords, toolStatusInWords } from '$lib/words/tool-settings';
  import { firstProblem } from '$lib/ui/kit/field-problem';
  import LengthField from '../kit/LengthField.svelte';
  import Notice from '../kit/Notice.svelte';
  import ReasonForm from '../kit/ReasonForm.svelte';
  import TextField from '../kit/TextField.svelte';
  import DimpleLook, { asSeen, NOT_SEEN } from './DimpleSeen.svelte';
  import type { ToolDesk } from './tool-desk.svelte';

  /** A tool that is set: its first heads, and every look after them. */
  interface Props {
    desk: ToolDesk;
  }
  let { desk }: Props = $props();
  const preferences = usePreferences();
  const { setup } = $derived(desk.view);
  const { found, made, withdrawn } = $derived(desk.state);
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
  const look = $derived(made.length >= FIRST_TO_BE_GOOD);
  const day = new Intl.DateTimeFormat('en', {
    month: 'short',
    day: 'numeric',
    hour: 'numeric',
    minute: '2-digit'
  });
  const VERDICTS = {
    accept: 'good',
    'drive-more': 'drive more',
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
  <section class="tape" aria-labelledby="tape" data-testid="tape">
    <h2 id="tape" class="label">Write on its tape</h2>
    <p class="figure">{foundInWords(found, setup)}</p>
    <p class="hint">{day.format(new Date(found.at))}, by {found.by}</p>
  </section>
  <section aria-labelledby="made" data-testid="tool-status">
    <h2 id="made" class="label">{look ? 'A look while working' : 'The first three'}</h2>
    {#if status.state === 'bad' || status.state === 'withdrawn'}
      <Notice
        level="stop"
        title={toolStatusInWords(status, preferences.inWords)}
        text={withdrawn?.why ?? ''}
      />
    {:else if status.state === 'released'}
      <p class="released"><strong>✓ {toolStatusInWords(status, preferences.inWords)}</strong></p>
    {:else}
      <Notice level="attention" title={toolStatusInWords(status, preferences.inWords)} />
    {/if}
    {#if made.length > 0}
      <ol>
        {#each made as one (one.id)}
          <li class:bad={!one.good}>
            {one.good ? '✓' : '✕'}
            {madeInWords(one.made, preferences.inWords)}: {one.good
              ? VERDICTS.accept
              : one.verdict === 'accept'
                ? 'passes only on a condition'
                : VERDICTS[one.verdict]}
            <small
              >{one.by.split(' ')[0]}, {day.format(new Date(one.at))}{one.lot === ''
                ? ''
                : `, lot ${one.lot}`}</small
            >
          </li>
        {/each}
      </ol>
    {/if}
    {#if status.state !== 'bad' && !withdrawn}
      <form onsubmit={record}>
        {#if setup.tool === 'dies'}
          <DimpleLook bind:seen />
        {:else}
          <p class="hint">
            {look ? 'One head of the work' : 'Fresh rivets, each driven in one go at this setting'}:
            both across and high.
          </p>
          <div class="pair">
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
                label="Grip there"
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
          >Keep this {setup.tool === 'dies' ? 'dimple' : 'head'}</button
        >
      </form>
    {/if}
  </section>
  {#if !withdrawn}
    <ReasonForm
      name="withdraw"
      label="No longer good because …"
      act="Withdraw it"
      hint="adjuster turned, another set: it is not offered again"
      onreason={(why) => desk.add({ kind: 'withdrawn', why })}
    />
  {/if}
{/if}

<style>
  .tape {
    padding: 8px 14px;
    border: 2px dashed var(--line-strong);
    border-radius: 6px;
    background: var(--bench);
  }
  .figure {
    font-size: 1.35rem;
    font-weight: 700;
    font-variant-numeric: tabular-nums;
  }
  section,
  form {
    display: grid;
    gap: 8px;
  }
  .pair {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 10px;
  }
  .released {
    color: var(--olive-deep);
  }
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
