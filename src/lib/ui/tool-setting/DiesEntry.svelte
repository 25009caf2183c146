<script lang="ts">
  import { TOOLS } from '$lib/words/pages/tools';
  import type { DiesGuide } from '$core/tool-setting/dies-guide.ts';
  import type { DiesSetup } from '$core/tool-setting/tool-setup.ts';
  import { dimples } from '$core/tool-setting/tool-rooms.ts';
  import StepField from '../kit/StepField.svelte';
  import DimpleLook, { asSeen, NOT_SEEN } from './DimpleSeen.svelte';
  import type { ToolDesk } from './tool-desk.svelte';

  /** One trial dimple: how far past touching, and what was seen. */
  interface Props {
    desk: ToolDesk;
    guide: DiesGuide;
    setup: DiesSetup;
  }
  let { desk, guide, setup }: Props = $props();
  const id = $props.id();
  const text = $derived(
    desk.typed('divisions') ??
      String(guide.nextDivisions ?? dimples(desk.state).at(-1)?.divisions ?? '')
  );
  const divisions = $derived(Number(text.trim() || NaN));
  const whole = $derived(Number.isInteger(divisions));
  let seen = $state({ ...NOT_SEEN });
  const told = $derived(asSeen(seen));
  function record(event: SubmitEvent): void {
    event.preventDefault();
    if (!whole || told === null) return;
    if (!desk.add({ kind: 'trial', trial: { what: 'dimple', divisions, ...told } })) return;
    desk.clear('divisions');
    seen = { ...NOT_SEEN };
  }
</script>

<form class="rows" onsubmit={record} aria-labelledby="{id}-head">
  <h2 id="{id}-head" class="label">Test dimple</h2>
  <StepField
    label="Divisions past touching"
    value={text}
    one="division"
    problem={whole ? '' : 'a whole number of divisions'}
    hint="{setup.divisionsPerTurn} to a turn"
    oninput={(value) => desk.type('divisions', value)}
  />
  <DimpleLook bind:seen />
  <button class="act main" disabled={!whole || told === null}>{TOOLS.keepThisDimple}</button>
</form>
