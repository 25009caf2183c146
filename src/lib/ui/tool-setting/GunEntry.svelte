<script lang="ts">
  import { TOOLS } from '$lib/words/pages/tools';
  import type { GunGuide, Wood } from '$core/tool-setting/gun-guide.ts';
  import { WOOD } from '$core/tool-setting/gun-guide.ts';
  import { AirPsi, HeadHeight, Seconds } from '$core/tool-setting/tool-moves.ts';
  import { WOOD_WORDS } from '$lib/words/tool-settings';
  import { firstProblem } from '$lib/ui/kit/field-problem';
  import Choice from '../kit/Choice.svelte';
  import LengthField from '../kit/LengthField.svelte';
  import TextField from '../kit/TextField.svelte';
  import Tick from '../kit/Tick.svelte';
  import type { ToolDesk } from './tool-desk.svelte';

  /** A try on wood, or a burst on a rivet, whichever comes next; the air may always be tried again. */
  interface Props {
    desk: ToolDesk;
    guide: GunGuide;
  }
  let { desk, guide }: Props = $props();
  const id = $props.id();
  const { said } = $derived(guide);
  let again = $state(false);
  const onWood = $derived(guide.airPsi === null || said.state === 'stuck' || again);
  const airText = $derived(
    desk.typed('air') ??
      String(said.state === 'wood' || said.state === 'stuck' ? said.airPsi : (guide.airPsi ?? ''))
  );
  const air = $derived(AirPsi.safeParse(Number(airText.trim() || NaN)));
  let wood = $state<'' | Wood>('');
  const secondsText = $derived(
    desk.typed('seconds') ?? (guide.nextS === null ? '' : String(guide.nextS))
  );
  const seconds = $derived(Seconds.safeParse(Number(secondsText.trim() || NaN)));
  const heightText = $derived(desk.typed('height') ?? '');
  const height = $derived(HeadHeight.safeParse(heightText, { reportInput: true }));
  let fresh = $state(false);
  /** the first, or after one that is too low or good, is a fresh rivet anyway */
  const isFirst = $derived(guide.bursts.length === 0);
  const mustBeFresh = $derived(said.state === 'over-driven');
  const worded = (read: { success: boolean; error?: { issues: { message: string }[] } }) =>
    read.success ? undefined : [read.error?.issues[0]?.message ?? ''];
  function keepWood(event: SubmitEvent): void {
    event.preventDefault();
    if (!air.success || wood === '') return;
    if (!desk.add({ kind: 'trial', trial: { what: 'wood', airPsi: air.data, wood } })) return;
    desk.clear('air');
    wood = '';
    again = false;
  }
  function keepBurst(event: SubmitEvent): void {
    event.preventDefault();
    if (!seconds.success || !height.success) return;
    const kept = desk.add({
      kind: 'trial',
      trial: {
        what: 'burst',
        seconds: seconds.data,
        heightIn: height.data,
        fresh: isFirst || fresh
      }
    });
    if (!kept) return;
    desk.clear('seconds', 'height');
    fresh = false;
  }
</script>

{#if onWood}
  <form class="rows" onsubmit={keepWood} aria-labelledby="{id}-wood">
    <h2 id="{id}-wood" class="label">On scrap wood</h2>
    <TextField
      name="air"
      label="Air at the gun, psi"
      inputmode="decimal"
      maxlength={5}
      errors={airText.trim() === '' ? undefined : worded(air)}
      bind:value={() => airText, (text) => desk.type('air', text)}
    />
    <Choice
      label={TOOLS.it}
      value={wood}
      options={WOOD.map((value) => ({ value, text: WOOD_WORDS[value] }))}
      onchoose={(value) => (wood = value as Wood)}
    />
    <button class="act main" disabled={!air.success || wood === ''}>{TOOLS.keepThisTry}</button>
  </form>
{:else}
  <form class="rows" onsubmit={keepBurst} aria-labelledby="{id}-burst">
    <h2 id="{id}-burst" class="label">One burst, then the head</h2>
    {#if !isFirst}
      <Tick text="on a new rivet" bind:checked={fresh} />
    {/if}
    <TextField
      name="seconds"
      label="Burst, seconds"
      inputmode="decimal"
      maxlength={5}
      errors={secondsText.trim() === '' ? undefined : worded(seconds)}
      bind:value={() => secondsText, (text) => desk.type('seconds', text)}
    />
    <LengthField
      label={TOOLS.headHeightNow}
      value={heightText}
      problem={height.success || heightText.trim() === '' ? undefined : firstProblem(height.error)}
      oninput={(text) => desk.type('height', text)}
    />
    <button
      class="act main"
      disabled={!seconds.success || !height.success || (mustBeFresh && !fresh)}
      >{TOOLS.keepThisBurst}</button
    >
    <button class="act" type="button" onclick={() => (again = true)}>Change air pressure</button>
  </form>
{/if}
