<script lang="ts">
  import { num } from '$core/answer.ts';
  import { Alloy, Dash } from '$core/schema/fields.ts';
  import SizeChart from '$lib/drawing/SizeChart.svelte';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Choice from '../Choice.svelte';
  import Figure from '../Figure.svelte';
  import Length from '../Length.svelte';
  import LengthField from '../LengthField.svelte';
  import Notice from '../Notice.svelte';
  import {
    ALLOY_OPTIONS,
    FAMILY_OPTIONS,
    HEAD_OPTIONS,
    LOCATION_OPTIONS,
    SIZE_OPTIONS
  } from '../options';
  import Pick from '../Pick.svelte';
  import SheetsEditor from '../SheetsEditor.svelte';
  import StationFrame from '../StationFrame.svelte';
  import Unreadable from '../Unreadable.svelte';
  import WaysOut from '../WaysOut.svelte';

  const workspace = useWorkspace();
  const entered = $derived(workspace.entered);
  const plan = $derived(workspace.now?.plan ?? null);
  const unequal = $derived(
    new Set(workspace.now?.definition.sheets.map((sheet) => sheet.thicknessIn)).size > 1
  );
  const rule = $derived(plan?.diameter.byRule);
  const otherRule = $derived(plan?.diameter.byOtherSchool);
  const school = $derived(workspace.profile.diameter);
  const chooseSize = (value: string) =>
    workspace.edit({ dash: value === 'rule' ? 'rule' : Dash.parse(Number(value)) }, 'dash');
</script>

<StationFrame>
  {#snippet drawing()}
    {#if workspace.shown}
      <div class="chart">
        <SizeChart
          shown={workspace.shown}
          stale={!workspace.now}
          onpick={(dash) => workspace.edit({ dash }, 'dash')}
        />
        {#if !workspace.now}<div class="over"><Unreadable /></div>{/if}
      </div>
    {:else}
      <div class="first"><Unreadable /></div>
    {/if}
  {/snippet}

  {#snippet worksheet()}
    {#if plan}
      <section aria-label="Answers">
        {#if plan.required.ok}
          {@const { result, work } = plan.required}
          <Figure
            label="Rivets needed"
            big
            {work}
            note="{result.critical} governs"
            source="public rivets-per-inch guidance, protruding AD rivets; sheet reckoned on {num(
              plan.reckonedSheetIn
            )} in"
          >
            {result.required}<small class="of">&nbsp;at {num(result.perInch)} an inch</small>
          </Figure>
        {:else}
          <WaysOut refused={plan.required} />
        {/if}
        {#if rule?.ok}
          <Figure
            label="Rivet"
            work={rule.work}
            note={plan.dashChosen ? 'chosen here' : `3 × ${school} sheet`}
            source="school: {school} sheet, {workspace.profile.name} {workspace.profile.version}"
          >
            <Length lengthIn={plan.diameterIn} /><small class="of">&nbsp;dash {plan.dash}</small>
          </Figure>
          {#if plan.dashChosen && rule.result.dash !== plan.dash}
            <p class="hint">The rule would take dash {rule.result.dash}.</p>
          {/if}
          {#if otherRule?.ok}
            <p class="hint">
              Other school, {school === 'thickest' ? 'thinnest' : 'thickest'} sheet: 3 × {num(
                otherRule.result.ruleDiameterIn / 3
              )} = {num(otherRule.result.ruleDiameterIn)} in → dash {otherRule.result
                .dash}{otherRule.result.dash === rule.result.dash ? ', the same' : ''}.
            </p>
          {/if}
        {/if}
        {#if plan.requiredOnOther}
          <p class="hint">
            Reckoned on the {entered.reckonOn === 'thickest' ? 'thinnest' : 'thickest'} sheet instead:
            {plan.requiredOnOther.ok
              ? `${plan.requiredOnOther.result.required} rivets, ${plan.requiredOnOther.result.critical} governs.`
              : plan.requiredOnOther.error.message}
          </p>
        {/if}
      </section>
      {#each workspace.warningsAt('carry') as warning (warning.title)}
        <Notice {...warning} />
      {/each}
    {/if}

    <section class="form" aria-label="The joint">
      <SheetsEditor />
      <LengthField
        label="Joint width, along the rivet row"
        placeholder="10 3/4"
        value={entered.widthIn}
        problem={workspace.problemAt('widthIn')}
        oninput={(text) => workspace.edit({ widthIn: text }, 'widthIn')}
      />
      <Pick
        label="Sheet family"
        value={entered.family}
        options={FAMILY_OPTIONS}
        onchoose={(family) => workspace.edit({ family }, 'family')}
      />
      <Pick
        label="Where it sits: share of the full count"
        value={entered.location}
        options={LOCATION_OPTIONS}
        onchoose={(location) => workspace.edit({ location }, 'location')}
      />
      {#if unequal}
        <Choice
          label="Sheets differ: reckon the count on the"
          value={entered.reckonOn}
          options={[
            { value: 'thickest', text: 'thickest (never fewer)' },
            { value: 'thinnest', text: 'thinnest' }
          ]}
          onchoose={(reckonOn) => workspace.edit({ reckonOn }, 'reckonOn')}
        />
      {/if}
      <Choice
        label="Manufactured head"
        value={entered.head}
        options={HEAD_OPTIONS}
        onchoose={(head) => workspace.edit({ head }, 'head')}
      />
      <Choice
        label="Rivet size, dash (32nds of an inch)"
        value={String(entered.dash)}
        options={SIZE_OPTIONS}
        onchoose={chooseSize}
      />
      <Pick
        label="Rivet alloy and its head mark"
        value={entered.alloy}
        options={ALLOY_OPTIONS}
        onchoose={(alloy) => workspace.edit({ alloy: Alloy.parse(alloy) }, 'alloy')}
      />
    </section>
    <p class="hint">
      Advice only: the aircraft’s approved data and the person who signs come first.
    </p>
  {/snippet}
</StationFrame>

<style>
  .chart {
    position: relative;
    height: 100%;
  }
  .over,
  .first {
    display: flex;
    align-items: center;
    justify-content: center;
    height: 100%;
  }
  .over {
    position: absolute;
    inset: 0;
  }
  .form {
    display: flex;
    flex-direction: column;
    gap: 10px;
  }
  .of {
    font-size: 0.85rem;
    font-weight: 400;
    color: var(--ink-soft);
  }
</style>
