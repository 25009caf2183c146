<script lang="ts">
  import { markWork } from '$core/layout/holes.ts';
  import { same } from '$core/units/tolerance.ts';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import EndDetail from '$lib/drawing/EndDetail.svelte';
  import PlanView from '$lib/drawing/PlanView.svelte';
  import Tape from '$lib/drawing/Tape.svelte';
  import Arithmetic from '../Arithmetic.svelte';
  import Choice from '../Choice.svelte';
  import Figure from '../Figure.svelte';
  import Length from '../Length.svelte';
  import LengthField from '../LengthField.svelte';
  import Notice from '../Notice.svelte';
  import { PATTERN_OPTIONS, ROW_OPTIONS } from '../options';
  import StationFrame from '../StationFrame.svelte';
  import Unreadable from '../Unreadable.svelte';
  import WaysOut from '../WaysOut.svelte';

  const workspace = useWorkspace();
  const entered = $derived(workspace.entered);
  const limits = $derived(workspace.profile.multipliers);
  const plan = $derived(workspace.now?.plan ?? null);
  const shown = $derived(workspace.shown?.plan.layout.ok ? workspace.shown : null);
  const layout = $derived(plan?.layout.ok ? plan.layout : null);
  const D = $derived(plan?.diameterIn ?? 1);
  const edgeMinD = $derived(limits.edgeMinD[entered.head]);
  const picked = $derived(plan?.holes.find((hole) => hole.number === workspace.picked));
  const room = $derived(plan?.headroom.find(({ hole }) => hole === workspace.picked));
  const rows = $derived(String(entered.rows) as (typeof ROW_OPTIONS)[number]['value']);
  const school = $derived(workspace.profile.pitch);
  let markOpen = $state(false);
  const pick = (hole: number) => (workspace.picked = hole);
  const ROWS = { auto: 'auto', '1': 1, '2': 2, '3': 3 } as const;
  const near = $derived(
    entered.prefer === 'near' || (entered.prefer === 'profile' && school === 'near')
  );
</script>

<StationFrame>
  {#snippet drawing()}
    {#if shown}
      <div class="sheets">
        <PlanView {shown} picked={workspace.picked} onpick={pick} stale={!workspace.now} />
        <EndDetail {shown} picked={workspace.picked} onpick={pick} />
        {#if !workspace.now}<div class="over"><Unreadable /></div>{/if}
      </div>
    {:else}
      <div class="first">
        {#if plan && !plan.layout.ok}
          <div class="refused"><WaysOut refused={plan.layout} /></div>
        {:else}
          <Unreadable />
        {/if}
      </div>
    {/if}
  {/snippet}

  {#snippet worksheet()}
    {#if plan && layout}
      {@const { result, work } = layout}
      <section aria-label="Spacing">
        <Figure
          label="Holes"
          big
          {work}
          note="{plan.required.ok ? plan.required.result.required : ''} needed"
        >
          {result.total}<small class="of">
            &nbsp;{result.rows.length === 1 ? 'in one row' : `in ${result.rows.length} rows`}</small
          >
        </Figure>
        <Figure
          label="Edge distance"
          work={work.filter((line) => line.label === 'edge distance')}
          source="least {edgeMinD} D for a {entered.head} head, most {limits.edgeMaxD} D"
          limits={{ low: edgeMinD, high: limits.edgeMaxD, value: result.edgeIn / D, unit: 'D' }}
        >
          <Length lengthIn={result.edgeIn} />
        </Figure>
        <Figure
          label="Pitch"
          work={work.filter((line) =>
            ['between end rivets', 'rivets in the first row', 'pitch', 'pitch in D'].includes(
              line.label
            )
          )}
          source="rule: {limits.pitchMinD} D to {limits.pitchMaxD} D; school: {near
            ? 'near a house pitch'
            : 'fewest rivets'}"
          limits={{
            low: limits.pitchMinD,
            high: limits.pitchMaxD,
            value: result.pitchD,
            unit: 'D'
          }}
        >
          <Length lengthIn={result.pitchIn} />
        </Figure>
        {#if result.rows.length > 1}
          <Figure
            label="Between rows"
            work={work.filter((line) => line.label === 'between rows')}
            source="rule: {limits.transverseMinD} D to {limits.transverseMaxD} D"
            limits={{
              low: limits.transverseMinD,
              high: limits.transverseMaxD,
              value: result.transverseIn / D,
              unit: 'D'
            }}
          >
            <Length lengthIn={result.transverseIn} />
          </Figure>
        {/if}
        <Figure label="Overlap" work={work.filter((line) => line.label === 'overlap')}>
          <Length lengthIn={result.overlapIn} />
        </Figure>
      </section>
      <p class="checks" class:bad={result.checks.some((check) => !check.ok)} data-testid="checks">
        {#if result.checks.every((check) => check.ok)}
          ✓ {result.checks.length} limits hold, exact and on the ruler
        {:else}
          ✕ {result.checks.filter((check) => !check.ok).length} of {result.checks.length} limits are broken
        {/if}
      </p>
      {#each workspace.warningsAt('lay-out') as warning (warning.title)}
        <Notice {...warning} />
      {/each}
      {#if picked}
        <section class="hole" aria-label="Picked hole" data-testid="picked-hole">
          <strong>Hole {picked.number}</strong>
          <span class="hint">row {picked.row}</span>
          <span>mark <Length lengthIn={picked.markIn} /></span>
          <span class="hint">exact {picked.xIn.toFixed(4)} in</span>
          <span class="hint"
            >{same(picked.residualIn, 0)
              ? 'on the mark'
              : `mark is ${Math.abs(picked.residualIn).toFixed(4)} in ${picked.residualIn > 0 ? 'beyond' : 'short'}`}</span
          >
          <button
            class="act small sum"
            type="button"
            aria-expanded={markOpen}
            aria-label="Arithmetic of the mark"
            onclick={() => (markOpen = !markOpen)}>Σ</button
          >
          {#if room && plan}
            <span class="hint room">
              {room.largestDash > plan.dash
                ? `has room for dash ${room.largestDash} in rework`
                : 'no room for a larger rivet'}
            </span>
          {/if}
        </section>
        {#if (markOpen || workspace.arithmetic) && workspace.now}
          <Arithmetic work={markWork(picked, result, workspace.now.definition.scale)} />
        {/if}
      {/if}
    {/if}

    <section class="form" aria-label="How it is laid out">
      <div class="pair">
        <Choice
          label="Rows"
          value={rows}
          options={ROW_OPTIONS}
          onchoose={(value) => workspace.edit({ rows: ROWS[value] }, 'rows')}
        />
        <Choice
          label="Pattern"
          value={entered.pattern}
          options={PATTERN_OPTIONS}
          onchoose={(pattern) => workspace.edit({ pattern }, 'pattern')}
        />
      </div>
      <Choice
        label="Pitch school"
        value={entered.prefer}
        options={[
          { value: 'profile', text: `Shop’s: ${school}` },
          { value: 'fewest', text: 'Fewest' },
          { value: 'near', text: 'Near a pitch' }
        ]}
        onchoose={(prefer) => workspace.edit({ prefer }, 'prefer')}
      />
      <div class="pair">
        <LengthField
          label="Edge distance"
          value={entered.edgeIn}
          whenEmpty="next 1/32 over the least"
          placeholder="usual"
          problem={workspace.problemAt('edgeIn')}
          oninput={(text) => workspace.edit({ edgeIn: text }, 'edgeIn')}
        />
        {#if near}
          <LengthField
            label="Wished pitch"
            value={entered.nearPitchIn}
            whenEmpty="house pitch {workspace.profile.housePitchIn} in"
            placeholder="house"
            problem={workspace.problemAt('nearPitchIn')}
            oninput={(text) => workspace.edit({ nearPitchIn: text }, 'nearPitchIn')}
          />
        {/if}
      </div>
    </section>
  {/snippet}

  {#snippet foot()}
    {#if plan && layout && workspace.now}
      <Tape
        layout={layout.result}
        holes={plan.holes}
        widthIn={workspace.now.definition.widthIn}
        scale={workspace.now.definition.scale}
        picked={workspace.picked}
        onpick={pick}
        onscale={(scale) => workspace.edit({ scale }, 'scale')}
      />
    {/if}
  {/snippet}
</StationFrame>

<style>
  .sheets {
    position: relative;
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 1.25fr) minmax(0, 1fr);
    gap: 8px;
    height: 100%;
  }
  .over {
    position: absolute;
    inset: 0;
    display: flex;
    align-items: center;
  }
  .first {
    display: flex;
    align-items: center;
    justify-content: center;
    height: 100%;
  }
  .refused {
    width: min(560px, 100%);
  }
  .of {
    font-size: 0.85rem;
    font-weight: 400;
    color: var(--ink-soft);
  }
  .checks {
    font-size: 0.92rem;
    color: var(--olive-deep);
  }
  .checks.bad {
    color: var(--brick);
    font-weight: 700;
  }
  .hole {
    position: relative;
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 2px 10px;
    padding: 8px 64px 8px 12px;
    border-left: 5px solid var(--dye);
    border-radius: 8px;
    background: var(--dye-soft);
    font-variant-numeric: tabular-nums;
  }
  /* beside both lines, not between them */
  .sum {
    position: absolute;
    right: 10px;
    top: 50%;
    transform: translateY(-50%);
  }
  .hole .hint {
    color: var(--ink);
  }
  .form {
    display: flex;
    flex-direction: column;
    gap: 10px;
  }
  .pair {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 10px;
  }
  @media (max-width: 900px) {
    .sheets {
      height: 560px;
    }
  }
</style>
