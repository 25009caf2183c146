<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { DRIVING_FIGURES, squeezeForce } from '$core/catalog/driving-figures.ts';
  import type { DrivingTools } from '$core/drive/driving-tools.ts';
  import { headBand } from '$core/tool-setting/head-band.ts';
  import { toolOffer } from '$core/tool-setting/remembered-tools.ts';
  import { beginToolSettingAt } from '$lib/api/tool-settings.ts';
  import { call } from '$lib/client/call';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ToolLine, ToolTask } from '$lib/setting-view';
  import { toolSettingAddress } from '$lib/setups-address';
  import { forceInWords } from '$lib/words/driving';
  import { foundInWords, setupInWords } from '$lib/words/tool-settings';
  import Notice from '../kit/Notice.svelte';
  import BeginTrials from '../setting/BeginTrials.svelte';
  import SetupFields from '../setting/SetupFields.svelte';
  import { besideRows, ToolFilling, toolRows, workRows } from './tool-setup-fields.svelte';

  /** What a tool is to be set for: of a released run, or typed. */
  interface Props {
    tools: DrivingTools;
    remembered: readonly ToolLine[];
    task: ToolTask | null;
  }
  let { tools, remembered, task }: Props = $props();
  const preferences = usePreferences();
  const filling = untrack(() => new ToolFilling(tools, task));
  onMount(() => filling.restore());
  const { read, tool, name, dash, alloy, fromRun, adjuster } = $derived(filling);
  const force = $derived(squeezeForce(dash, alloy));
  const band = $derived(read.success && read.data.tool !== 'dies' ? headBand(read.data) : null);
  const offer = $derived(read.success ? toolOffer(read.data, remembered) : null);
  const was = $derived(offer?.from.state.found ?? null);
  function send(id: string) {
    // what is typed now, not what was when this was drawn
    const { data } = filling.read;
    if (!data) throw new Error('the form is not whole');
    const run = task ? { jointId: task.jointId, key: task.run.key } : null;
    return call(beginToolSettingAt, undefined, { id, setup: data, run, work: task?.work ?? '' });
  }
  function begun(id: string): string {
    filling.forget();
    return toolSettingAddress(id);
  }
</script>

{#snippet had()}
  {#if offer && was}
    <span
      >{name} was set before: {foundInWords(was, offer.from.setup)}. The guide begins {offer.tool ===
        'squeezer' && offer.openedBy > 0
        ? `${offer.openedBy} divisions more open, at ${offer.divisions}`
        : 'there'}. Verify on scrap.</span
    >
  {/if}
{/snippet}
<section class="rows" aria-labelledby="new-setting">
  <h2 id="new-setting" class="label">New tool setup</h2>
  <SetupFields rows={toolRows(filling)} {filling} />
  {#if filling.names.length === 0}
    <Notice level="attention" title="None in the tool list" />
  {/if}
  {#if adjuster}
    <p class="hint">
      a turn closes {preferences.inWords(adjuster.turnIn)}, {adjuster.divisionsPerTurn} divisions per
      turn · <a href="/setups/tools">change</a>
    </p>
  {/if}
  {#if fromRun}<p data-testid="told">{setupInWords(fromRun, preferences.inWords)}</p>{/if}
  <SetupFields rows={[...workRows(filling), ...besideRows(filling)]} {filling} />
  {#if filling.weak}
    <Notice
      level="attention"
      title="Not for dash {dash}"
      text={tool === 'gun'
        ? `It is driven with a ${DRIVING_FIGURES[dash].guns.join(' or ')}.`
        : force
          ? `Needs ${forceInWords(force)}. This squeezer is too weak.`
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
  <BeginTrials
    ready={read.success && band?.ok !== false}
    {send}
    onbegun={begun}
    offer={was ? had : undefined}
  />
</section>
