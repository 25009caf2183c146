<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { TOOLS } from '$lib/words/pages/tools';
  import { onMount, untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import { DASHES, rivetSize } from '$core/catalog/rivets.ts';
  import { DRILLS } from '$core/catalog/drills.ts';
  import { DRIVING_FIGURES, squeezeForce } from '$core/catalog/driving-figures.ts';
  import { gunsFor, squeezersFor } from '$core/driving/driving-ways.ts';
  import type { DrivingTools } from '$core/drive/driving-tools.ts';
  import { Alloy, Head, HeadLimitsKey } from '$core/schema/fields.ts';
  import { problemsOf } from '$core/schema/read.ts';
  import { headBand } from '$core/tool-setting/head-band.ts';
  import { toolOffer } from '$core/tool-setting/remembered-tools.ts';
  import { ToolSetup, type SetTool } from '$core/tool-setting/tool-setup.ts';
  import { writeDecimal } from '$core/units/format-length.ts';
  import { beginToolSettingAt } from '$lib/api/tool-settings.ts';
  import { call } from '$lib/client/call';
  import { KeptFields } from '$lib/client/kept-fields.svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { toolSettingAddress } from '$lib/setups-address';
  import type { ToolSettingLine, ToolTask } from '$lib/tool-setting-view';
  import { forceInWords } from '$lib/words/driving';
  import { foundInWords, setupInWords, TOOL_WORDS } from '$lib/words/tool-settings';
  import Choice from '../kit/Choice.svelte';
  import LengthField from '../kit/LengthField.svelte';
  import Notice from '../kit/Notice.svelte';
  import Pick from '../kit/Pick.svelte';
  import TextField from '../kit/TextField.svelte';

  /** What a tool is to be set for: of a released run, or typed. */
  interface Props {
    tools: DrivingTools;
    remembered: readonly ToolSettingLine[];
    task: ToolTask | null;
  }
  let { tools, remembered, task }: Props = $props();
  const preferences = usePreferences();
  const text = (lengthIn: number | null | undefined) =>
    lengthIn === null || lengthIn === undefined ? '' : writeDecimal(lengthIn, 3, 6);
  const closeHole = (dash: string) =>
    text(
      DRILLS.find(
        ({ name }) =>
          name === rivetSize(DASHES.find((one) => String(one) === dash) ?? 4).drill.close
      )?.diameterIn
    );
  const kept = new KeptFields(
    untrack(() => `tool-setup.${task ? `${task.jointId}.${task.run.key}` : ''}`)
  );
  onMount(() => void kept.restore(1));
  const type = (field: string, value: string) => kept.type(field, value);
  const tool = $derived((kept.of('tool') ?? 'squeezer') as SetTool);
  const STARTING: Record<string, string> = {
    head: 'universal',
    alloy: 'AD',
    dimpled: 'no',
    limits: 'standard'
  };
  const of = (field: string): string =>
    kept.of(field) ??
    STARTING[field] ??
    (field === 'dash'
      ? String(task?.setups[0]?.dash ?? 4)
      : field === 'holeIn'
        ? closeHole(of('dash'))
        : '');
  /** a run’s is the release’s */
  const dash = $derived(
    (tool === 'dies' ? undefined : task?.setups[0]?.dash) ??
      DASHES.find((one) => String(one) === of('dash')) ??
      4
  );
  /** dies press sheets, for which only the size tells */
  const alloy = $derived(
    tool === 'dies'
      ? 'AD'
      : (task?.setups.find((one) => one.tool !== 'dies')?.alloy ??
          Alloy.options.find((one) => one === of('alloy')) ??
          'AD')
  );
  const force = $derived(squeezeForce(dash, alloy));
  /** those that suit the size, the best first */
  const fitting = $derived(
    (tool === 'gun' ? gunsFor({ dash }, tools) : squeezersFor({ dash, alloy }, tools)).map(
      (one) => one.name
    )
  );
  const names = $derived([
    ...new Set([
      ...fitting,
      ...(tool === 'gun' ? tools.guns : tools.squeezers).map((one) => one.name)
    ])
  ]);
  const name = $derived(names.find((one) => one === kept.of('name')) ?? names[0] ?? '');
  /** the run’s own, as that tool would be set for it */
  const told = $derived(
    task?.setups.find((setup) => setup.tool === tool && setup.name === name) ?? null
  );
  const adjuster = $derived(tools.squeezers.find((one) => one.name === name));
  const head = $derived(of('head'));
  const entered = $derived(
    // what the release says of its rivets is nobody’s to type
    told?.tool === 'squeezer'
      ? { ...told, lot: of('lot') }
      : told?.tool === 'gun'
        ? { ...told, set: of('set'), bar: of('bar'), lot: of('lot') }
        : tool === 'dies'
          ? {
              tool,
              name,
              turnIn: adjuster?.turnIn ?? 0,
              divisionsPerTurn: adjuster?.divisionsPerTurn ?? 0,
              dash: dash,
              sheetIn: of('sheetIn'),
              material: of('material'),
              lot: of('lot')
            }
          : {
              tool,
              name,
              ...(tool === 'squeezer'
                ? {
                    turnIn: adjuster?.turnIn ?? 0,
                    divisionsPerTurn: adjuster?.divisionsPerTurn ?? 0
                  }
                : { set: of('set'), bar: of('bar') }),
              dash: dash,
              head,
              alloy: of('alloy'),
              lengthIn: of('lengthIn'),
              gripIn: of('gripIn'),
              holeIn: of('holeIn'),
              dimpled: of('dimpled') === 'yes' && head === 'countersunk',
              limits: of('limits'),
              wideIn3: 0,
              lot: of('lot')
            }
  );
  const read = $derived(ToolSetup.safeParse(entered, { reportInput: true }));
  const problems = $derived(
    new Map(read.success ? [] : problemsOf(read.error).map(({ path, said }) => [path, said]))
  );
  const problemOf = (field: string) => {
    const said = problems.get(field);
    return said === undefined || of(field).trim() === '' ? undefined : { said, instead: null };
  };
  const band = $derived(read.success && read.data.tool !== 'dies' ? headBand(read.data) : null);
  const offer = $derived(read.success ? toolOffer(read.data, remembered) : null);
  const weak = $derived(tool !== 'dies' && name !== '' && !fitting.includes(name));
  let refusal = $state('');
  const id = crypto.randomUUID();
  async function begin(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (!read.success) return;
    const run = task ? { jointId: task.jointId, key: task.run.key } : null;
    const reply = await call(beginToolSettingAt, undefined, {
      id,
      setup: read.data,
      run,
      work: task?.work ?? ''
    });
    if (reply.reached && reply.ok) {
      kept.forget();
      await goto(toolSettingAddress(id));
    } else
      refusal = reply.reached
        ? reply.message
        : 'The server cannot be reached. Nothing typed is lost: try again.';
  }
  const options = (values: readonly string[], words: Record<string, string> = {}) =>
    values.map((value) => ({ value, text: words[value] ?? value }));
</script>

<form onsubmit={begin} aria-labelledby="new-setting">
  <h2 id="new-setting" class="label">Set a tool</h2>
  <Choice
    label="Tool"
    testid="tool"
    value={tool}
    options={(['squeezer', 'gun', 'dies'] as const).map((value) => ({
      value,
      text: TOOL_WORDS[value]
    }))}
    onchoose={(value) => type('tool', value)}
  />
  {#if names.length === 0}
    <Notice level="attention" title="The shop has none of these" />
  {:else}
    <Pick
      label={tool === 'gun' ? TOOLS.whichGun : TOOLS.whichSqueezer}
      value={name}
      options={options(names)}
      onchoose={(value) => type('name', value)}
    />
  {/if}
  {#if tool !== 'gun' && adjuster}
    <p class="hint">
      a turn closes {preferences.inWords(adjuster.turnIn)}, {adjuster.divisionsPerTurn} divisions to a
      turn · <a href="/setups/tools">change</a>
    </p>
  {/if}
  {#if told === null}
    <Choice
      label="Rivet, dash"
      value={of('dash')}
      options={options(DASHES.map(String))}
      onchoose={(value) => type('dash', value)}
    />
  {/if}
  {#if told !== null}
    <p data-testid="told">{setupInWords(told, preferences.inWords)}</p>
  {:else if tool === 'dies'}
    <div class="pair">
      <LengthField
        label={TOOLS.eachSheet}
        value={of('sheetIn')}
        problem={problemOf('sheetIn')}
        oninput={(value) => type('sheetIn', value)}
      />
      <TextField
        name="material"
        label={COMMON.material}
        maxlength={40}
        bind:value={() => of('material'), (value) => type('material', value)}
      />
    </div>
  {:else}
    <div class="pair">
      <Choice
        label="Head"
        value={head}
        options={options(Head.options)}
        onchoose={(value) => type('head', value)}
      />
      <Choice
        label="Alloy"
        value={of('alloy')}
        options={options(Alloy.options)}
        onchoose={(value) => type('alloy', value)}
      />
    </div>
    <div class="three">
      <LengthField
        label={COMMON.length}
        value={of('lengthIn')}
        problem={problemOf('lengthIn')}
        oninput={(value) => type('lengthIn', value)}
      />
      <LengthField
        label={COMMON.grip}
        value={of('gripIn')}
        problem={problemOf('gripIn')}
        oninput={(value) => type('gripIn', value)}
      />
      <LengthField
        label="Hole"
        value={of('holeIn')}
        problem={problemOf('holeIn')}
        oninput={(value) => type('holeIn', value)}
      />
    </div>
    {#if head === 'countersunk'}
      <Choice
        label="Dimpled through"
        value={of('dimpled')}
        options={options(['yes', 'no'])}
        onchoose={(value) => type('dimpled', value)}
      />
    {/if}
    <Choice
      label="Limits"
      value={of('limits')}
      options={[
        ...options(HeadLimitsKey.options),
        ...(of('limits').startsWith('own:')
          ? [{ value: of('limits'), text: 'the joint’s own' }]
          : [])
      ]}
      onchoose={(value) => type('limits', value)}
    />
  {/if}
  {#if tool === 'gun'}
    <div class="pair">
      <Pick
        label="Set"
        value={of('set')}
        options={[{ value: '', text: 'not said' }, ...options(tools.sets.map((one) => one.name))]}
        onchoose={(value) => type('set', value)}
      />
      <Pick
        label="Bar"
        value={of('bar')}
        options={[{ value: '', text: 'not said' }, ...options(tools.bars.map((one) => one.name))]}
        onchoose={(value) => type('bar', value)}
      />
    </div>
  {/if}
  <TextField
    name="lot"
    label={COMMON.lot}
    maxlength={60}
    hint="with another lot it is looked at again"
    bind:value={() => of('lot'), (value) => type('lot', value)}
  />
  {#if weak}
    <Notice
      level="attention"
      title="Not for dash {dash}"
      text={tool === 'gun'
        ? `It is driven with a ${DRIVING_FIGURES[dash].guns.join(' or ')}.`
        : force
          ? `It takes ${forceInWords(force)}: this one does not close on it.`
          : `No squeeze force is given for ${alloy} rivets: use one that the shop has measured for that alloy.`}
    />
  {/if}
  {#if band && !band.ok}
    <Notice
      level="stop"
      title="No good head is made of this"
      text={preferences.refusal(band.error.said)}
    />
  {/if}
  {#if offer?.from.state.found}
    <p class="offer" data-testid="offer">
      {name} was set before: {foundInWords(offer.from.state.found, offer.from.setup)}. The guide
      begins {offer.tool === 'squeezer' && offer.openedBy > 0
        ? `${offer.openedBy} divisions more open, at ${offer.divisions}`
        : 'there'}: check it on scrap before you trust it.
    </p>
  {/if}
  {#if refusal !== ''}<Notice level="stop" title="Not begun" text={refusal} />{/if}
  <button class="act main begin" disabled={!read.success || band?.ok === false}
    >{COMMON.beginTheTrials}</button
  >
</form>

<style>
  form {
    display: grid;
    gap: 8px;
  }
  .pair,
  .three {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 200px), 1fr));
    gap: 10px;
  }
  .three {
    grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
  }
  .offer {
    padding: 8px 12px;
    border-left: 5px solid var(--olive);
    border-radius: 8px;
    background: var(--olive-soft);
  }
  .begin {
    min-height: 56px;
    font-size: 1.1rem;
  }
</style>
