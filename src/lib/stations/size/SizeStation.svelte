<script lang="ts">
  import { SIZE } from '$lib/words/pages/size';
  import { COMMON } from '$lib/words/pages/common';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { nameOfPlace, placeInWords } from '$lib/words/places';
  import { onMount } from 'svelte';
  import type Drawn from './SizeCharts.svelte';
  import { num } from '$core/answer.ts';
  import { kindOf } from '$core/kinds/joint.ts';
  import { Alloy, Dash } from '$core/schema/fields.ts';
  import { strengthView } from '$core/plan/strength-view.ts';
  import { whenIdle } from '$lib/client/when-idle';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Choice from '../../ui/kit/Choice.svelte';
  import Figure from '../../ui/joint/Figure.svelte';
  import Length from '../../ui/kit/Length.svelte';
  import LengthField from '../../ui/kit/LengthField.svelte';
  import {
    ALLOY_OPTIONS,
    FAMILY_OPTIONS,
    HEAD_OPTIONS,
    LOCATION_OPTIONS,
    SIZE_OPTIONS,
    STRENGTH_OPTIONS
  } from '../../ui/kit/options';
  import KindFields from '../../ui/joint/KindFields.svelte';
  import Pick from '../../ui/kit/Pick.svelte';
  import SheetsEditor from '../../ui/joint/SheetsEditor.svelte';
  import StationFrame from '../../ui/joint/StationFrame.svelte';
  import Unreadable from '../../ui/joint/Unreadable.svelte';
  import Warnings from '../../ui/joint/Warnings.svelte';
  import WaysOut from '../../ui/joint/WaysOut.svelte';

  const workspace = useWorkspace();
  const preferences = usePreferences();
  const entered = $derived(workspace.entered);
  const plan = $derived(workspace.now?.plan ?? null);
  const unequal = $derived(
    new Set(workspace.now?.definition.sheets.map((sheet) => sheet.thicknessIn)).size > 1
  );
  const rule = $derived(plan?.diameter.byRule);
  const otherRule = $derived(plan?.diameter.byOtherSchool);
  const school = $derived(workspace.profile.diameter);
  let view = $state<'sizes' | 'strength'>('sizes');
  /** what draws comes after the fields: the first visit answers to keys without it */
  let charts = $state.raw<typeof Drawn | null>(null);
  let missing = $state(false);
  // a joint that was just begun waits for its first figure
  onMount(() => {
    if (entered.sheets.every(({ thicknessIn }) => thicknessIn === ''))
      document.querySelector<HTMLElement>('input[list=gauges]')?.focus();
  });
  onMount(() =>
    whenIdle(() =>
      import('./SizeCharts.svelte').then(
        (drawn) => (charts = drawn.default),
        () => (missing = true)
      )
    )
  );
  const strength = $derived(
    workspace.shown
      ? strengthView(workspace.shown.definition, workspace.shown.plan, workspace.profile)
      : null
  );
  const moreThanNeeded = $derived(
    plan?.warnings.find(({ said }) => said.code === 'more-than-needed')
  );
  const chooseSize = (value: string) =>
    workspace.edit({ dash: value === 'rule' ? 'rule' : Dash.parse(Number(value)) }, 'dash');
</script>

<StationFrame>
  {#snippet drawing()}
    {#if workspace.shown}
      <div class="chart">
        <div class="views">
          <Choice
            label="Drawing"
            quiet
            value={view}
            options={[
              { value: 'sizes', text: 'Rivet sizes' },
              { value: 'strength', text: SIZE.strengthOverPitch }
            ]}
            onchoose={(value) => (view = value)}
          />
        </div>
        <div class="picture">
          {#if charts}
            {@const Charts = charts}
            <Charts {view} {strength} shown={workspace.shown} />
          {:else if missing}
            <p class="hint">Chart not available offline. The numbers shown are valid.</p>
          {/if}
        </div>
        {#if !workspace.now}<div class="over"><Unreadable /></div>{/if}
      </div>
    {:else}
      <div class="first"><Unreadable /></div>
    {/if}
  {/snippet}

  {#snippet inputs()}
    <section class="column-wide" aria-label="The joint">
      <SheetsEditor />
      <KindFields station="size" />
      <div class="own">
        <LengthField
          label={SIZE.rivetsPerInchFromApproved}
          plain
          placeholder="guidance"
          whenEmpty="from guidance"
          value={entered.perInch}
          problem={workspace.problemAt('perInch')}
          oninput={(perInch) => workspace.edit({ perInch }, 'perInch')}
        />
        {#if entered.perInch.trim() !== ''}
          <LengthField
            label={SIZE.whoseFigureAndWhereIt}
            plain
            placeholder="repair sheet, table"
            value={entered.perInchReason}
            problem={workspace.problemAt('perInchReason')}
            oninput={(perInchReason) => workspace.edit({ perInchReason }, 'perInchReason')}
          />
        {/if}
      </div>
    </section>
    {#if !plan}
      <section aria-label={COMMON.answers}>
        {#each SIZE.answers as label (label)}<Figure {label}>–</Figure>{/each}
      </section>
    {:else}
      <section aria-label={COMMON.answers}>
        {#each plan.needs as need (need.key)}
          {#if need.required.ok}
            {@const { result, work } = need.required}
            <Figure
              label={plan.needs.length === 1
                ? 'Rivets needed'
                : `Needed, ${nameOfPlace(need.where, preferences.inWords)}`}
              big
              {work}
              note={result.critical === null ? 'own data' : `${result.critical} governs`}
              source={result.basis === 'own-data'
                ? entered.perInchReason
                : `rivets-per-inch table, protruding AD rivets; based on a sheet of ${num(
                    plan.reckonedSheetIn
                  )} in`}
            >
              {result.required}<small class="small-print"
                >&nbsp;at {num(result.perInch)} per inch</small
              >
            </Figure>
            {#if plan.needs.length === 1 && need.where.at !== 'joint'}
              <p class="hint">Counted {placeInWords(need.where, preferences.inWords)}.</p>
            {/if}
          {:else}
            <WaysOut refused={need.required} />
          {/if}
        {/each}
        {#if rule?.ok}
          <Figure
            label="Rivet"
            work={rule.work}
            note={plan.dashChosen ? 'set manually' : `3 × ${school} sheet`}
            source="shop practice: {school} sheet, {workspace.profile.name} {workspace.profile
              .version}"
          >
            <Length lengthIn={plan.diameterIn} /><small class="small-print"
              >&nbsp;dash {plan.dash}</small
            >
          </Figure>
          {#if plan.dashChosen && rule.result.dash !== plan.dash}
            <p class="hint">By rule: dash {rule.result.dash}.</p>
          {/if}
          {#if otherRule?.ok}
            <p class="hint">
              Other practice, {school === 'thickest' ? 'thinnest' : 'thickest'} sheet: 3 × {preferences.inWords(
                otherRule.result.ruleDiameterIn / 3
              )} = {preferences.inWords(otherRule.result.ruleDiameterIn)} → dash {otherRule.result
                .dash}{otherRule.result.dash === rule.result.dash ? ', the same' : ''}.
            </p>
          {/if}
        {/if}
        {#if plan.requiredOnOther}
          <p class="hint">
            Based on the {entered.reckonOn === 'thickest' ? 'thinnest' : 'thickest'} sheet instead:
            {plan.requiredOnOther.ok
              ? `${plan.requiredOnOther.result.required} rivets${plan.requiredOnOther.result.critical === null ? '' : `, ${plan.requiredOnOther.result.critical} governs`}.`
              : preferences.refusal(plan.requiredOnOther.error.said)}
          </p>
        {/if}
        {#if strength?.at.ok && plan.needs.length > 0}
          <Figure
            label="Efficiency"
            work={strength.at.work}
            note="{strength.at.result.governs.replace('-', ' ')} governs"
            source="direct check for judgment, never an approval; {strength.sheet}, {num(
              strength.thicknessIn
            )} in"
          >
            {(strength.at.result.efficiency * 100).toFixed(0)}<small class="small-print"
              >&nbsp;% of the sheet</small
            >
          </Figure>
        {/if}
      </section>
      <Warnings warnings={workspace.warningsAt('size')} />
      {#if moreThanNeeded}
        <Warnings warnings={[moreThanNeeded]} />
      {/if}
    {/if}
  {/snippet}

  {#snippet worksheet()}
    <section class="column-wide" aria-label={SIZE.choices}>
      <Pick
        label="Sheet family"
        value={entered.family}
        options={FAMILY_OPTIONS}
        onchoose={(family) => workspace.edit({ family }, 'family')}
      />
      <Pick
        label={SIZE.jointLocationCountFactor}
        value={entered.location}
        options={LOCATION_OPTIONS}
        onchoose={(location) => workspace.edit({ location }, 'location')}
      />
      {#if unequal && !kindOf(entered).countedOnOne}
        <Choice
          label="Unequal sheets: base the count on"
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
        label="Rivet size (dash = 1/32 in)"
        value={String(entered.dash)}
        options={SIZE_OPTIONS}
        onchoose={chooseSize}
      />
      <Pick
        label="Rivet alloy (head mark)"
        value={entered.alloy}
        options={ALLOY_OPTIONS}
        onchoose={(alloy) => workspace.edit({ alloy: Alloy.parse(alloy) }, 'alloy')}
      />
      <Pick
        label="Sheet for the strength check"
        value={entered.strengthSheet}
        options={STRENGTH_OPTIONS}
        onchoose={(strengthSheet) => workspace.edit({ strengthSheet }, 'strengthSheet')}
      />
    </section>
    <p class="hint">Advice only. Approved data and the person who signs decide.</p>
  {/snippet}
</StationFrame>

<style>
  .chart {
    position: relative;
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto minmax(0, 1fr);
    height: 100%;
  }
  .views {
    width: 330px;
  }
  .picture {
    min-height: 0;
  }
  /* one below the other: the first keeps its width, and its label its lines, when the second comes */
  .own {
    display: grid;
    gap: 10px;
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
</style>
