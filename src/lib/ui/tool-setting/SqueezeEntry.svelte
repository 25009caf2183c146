<script lang="ts">
  import { TOOLS } from '$lib/words/pages/tools';
  import { COMMON } from '$lib/words/pages/common';
  import type { SqueezerGuide } from '$core/tool-setting/squeezer-guide.ts';
  import type { SqueezerSetup } from '$core/tool-setting/tool-setup.ts';
  import { squeezes } from '$core/tool-setting/tool-rooms.ts';
  import { HeadHeight } from '$core/tool-setting/tool-moves.ts';
  import { firstProblem } from '$lib/ui/kit/field-problem';
  import Choice from '../kit/Choice.svelte';
  import LengthField from '../kit/LengthField.svelte';
  import StepField from '../kit/StepField.svelte';
  import Tick from '../kit/Tick.svelte';
  import YesNo from '../kit/YesNo.svelte';
  import type { ToolDesk } from './tool-desk.svelte';

  /** One squeeze: where the adjuster stood, and the head by caliper or by plate. */
  interface Props {
    desk: ToolDesk;
    guide: SqueezerGuide;
    setup: SqueezerSetup;
  }
  let { desk, guide, setup }: Props = $props();
  const id = $props.id();
  const BEGIN = '0';
  const before = $derived(squeezes(desk.state).at(-1) ?? null);
  const divisionsText = $derived(
    desk.typed('divisions') ?? String(guide.nextDivisions ?? before?.divisions ?? BEGIN)
  );
  const divisions = $derived(Number(divisionsText.trim() || NaN));
  const heightText = $derived(desk.typed('height') ?? '');
  const height = $derived(HeadHeight.safeParse(heightText, { reportInput: true }));
  const by = $derived((desk.typed('by') ?? 'caliper') as 'caliper' | 'plate');
  let fits = $state<boolean | null>(null);
  let touches = $state<boolean | null>(null);
  let fresh = $state(false);
  const opened = $derived(before !== null && divisions < before.divisions);
  const whole = $derived(Number.isInteger(divisions));
  const read = $derived(by === 'caliper' ? height.success : fits !== null && touches !== null);
  function record(event: SubmitEvent): void {
    event.preventDefault();
    if (!whole || !read) return;
    const kept = desk.add({
      kind: 'trial',
      trial: {
        what: 'squeeze',
        divisions,
        read:
          by === 'plate'
            ? { by, fitsOver: fits === true, touchesSheet: touches === true }
            : { by, heightIn: height.success ? height.data : 0 },
        fresh: before === null || fresh
      }
    });
    if (!kept) return;
    desk.clear('divisions', 'height');
    fits = touches = null;
    fresh = false;
  }
</script>

<form class="rows" onsubmit={record} aria-labelledby="{id}-head">
  <h2 id="{id}-head" class="label">Test squeeze</h2>
  <StepField
    label={TOOLS.divisionsClosed}
    value={divisionsText}
    oninput={(text) => desk.type('divisions', text)}
    problem={whole ? '' : 'a whole number of divisions'}
    hint="{setup.divisionsPerTurn} per turn, from your reference mark; more = closer"
    one="division"
  />
  {#if opened}
    <Tick text={TOOLS.aFreshRivetNotSqueezed} bind:checked={fresh} />
  {/if}
  <Choice
    label="Measured with"
    value={by}
    options={[
      { value: 'caliper', text: 'caliper' },
      { value: 'plate', text: TOOLS.gaugePlate }
    ]}
    onchoose={(value) => desk.type('by', value)}
  />
  {#if by === 'caliper'}
    <LengthField
      label={setup.dimpled ? 'Head height, from its dimple' : COMMON.headHeight}
      value={heightText}
      problem={height.success || heightText.trim() === '' ? undefined : firstProblem(height.error)}
      oninput={(text) => desk.type('height', text)}
    />
  {:else}
    <YesNo
      label="The plate’s hole goes over the head"
      yes={TOOLS.fitsOver}
      no={COMMON.doesNot}
      bind:value={fits}
    />
    <YesNo
      label={setup.dimpled
        ? 'The notch’s feet rest on the dimple'
        : 'The notch’s feet rest on the sheet'}
      yes={TOOLS.touches}
      no={COMMON.doesNot}
      bind:value={touches}
    />
  {/if}
  <button class="act main" disabled={!whole || !read || (opened && !fresh)}
    >{TOOLS.keepThisSqueeze}</button
  >
</form>
