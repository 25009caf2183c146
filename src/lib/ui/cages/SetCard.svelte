<script lang="ts">
  import { isNestTried, isPractice } from '$core/prepare/cage/setting.ts';
  import { Flushness } from '$core/prepare/cage/trials.ts';
  import { TAPE_WIDTHS } from '$lib/tape-label';
  import { firstProblem } from '$lib/ui/kit/field-problem';
  import { MEASURED, recheckInWords } from '$lib/words/cages';
  import { CAGES } from '$lib/words/pages/cages';
  import { COMMON } from '$lib/words/pages/common';
  import { whenInWords } from '$lib/words/when';
  import Arithmetic from '../kit/Arithmetic.svelte';
  import Length from '../kit/Length.svelte';
  import LengthField from '../kit/LengthField.svelte';
  import Notice from '../kit/Notice.svelte';
  import TextField from '../kit/TextField.svelte';
  import Mark from '../marks/Mark.svelte';
  import SetTool from '../setting/SetTool.svelte';
  import type { CageDesk } from './cage-desk.svelte';

  /** A set cage: what to write on its tape, its re-checks, and how to give it up. */
  interface Props {
    desk: CageDesk;
  }
  let { desk }: Props = $props();
  const WORDS = { good: COMMON.good, 'too-deep': CAGES.tooDeep, proud: '✕ too high' };
  const LEVELS = {
    good: 'plain',
    due: 'attention',
    'film-unsaid': 'attention',
    'too-deep': 'stop',
    proud: 'stop'
  } as const;
  const { found, looks, withdrawn } = $derived(desk.state);
  const status = $derived(desk.rechecks);
  const bad = $derived(LEVELS[status.state] === 'stop');
  const holesText = $derived(desk.typed('holes') ?? String(status.holes));
  const flushText = $derived(desk.typed('recheck') ?? '');
  /** in the work a nested cut holds a dimple, not a rivet */
  const nested = $derived(Boolean(found?.nest));
  const tried = $derived(isNestTried(desk.state));
  const measured = $derived(MEASURED[nested ? 'dimpled-scrap' : desk.view.setup.seat]);
  const holes = $derived(Number(holesText.trim() || NaN));
  const flush = $derived(Flushness.safeParse(flushText, { reportInput: true }));
  const problem = $derived(
    flush.success || flushText.trim() === '' ? undefined : firstProblem(flush.error)
  );
  let arithmetic = $state(false);
  function recheck(event: SubmitEvent): void {
    event.preventDefault();
    if (!flush.success || !Number.isInteger(holes)) return;
    if (desk.add({ kind: 'recheck', afterHoles: holes, flushnessIn: flush.data, from: 'typed' }))
      desk.clear('recheck', 'holes');
  }
</script>

{#if found}
  <SetTool
    tape="Write on the tape"
    title="Re-check while working"
    testid="rechecks"
    status={{ level: LEVELS[status.state], text: recheckInWords(status) }}
    {withdrawn}
    hint="e.g. new cutter, lock ring moved. This setting is not suggested again."
    onwithdraw={(why) => desk.add({ kind: 'withdrawn', why })}
  >
    {#snippet marks()}
      <span>flush <strong>{found.clicks}</strong></span>
      {#if found.nest}<span
          >nested <strong>{found.nest.clicks}</strong>{#if !tried}<small
              data-testid="nest-not-tried"
            >
              △ not tried</small
            >{/if}</span
        >{/if}
      <button
        class="act small"
        type="button"
        aria-expanded={arithmetic}
        aria-label="Calculation of the setting"
        onclick={() => (arithmetic = !arithmetic)}><Mark name="arithmetic" size={20} /></button
      >
    {/snippet}
    {#snippet about()}
      <p class="hint">
        dash {desk.view.setup.dash}, {whenInWords(found.at)}: {found.holes} holes from <Length
          lengthIn={found.deepestIn}
          decimal
          signed
        /> to <Length lengthIn={found.proudestIn} decimal signed />, by {found.by}{#if found.nest}&nbsp;·
          beneath the dimple <Length lengthIn={found.nest.wallIn} decimal /> is left under the countersink{/if}
      </p>
      {#if arithmetic && desk.guide.ok}<Arithmetic
          work={[
            ...desk.guide.result.work,
            ...(desk.guide.result.nest?.ok ? desk.guide.result.nest.work : [])
          ]}
          source="deepest hole governs; nest by this tool’s own step"
        />{/if}
      {#if isPractice(desk.state)}<Notice
          level="attention"
          title={CAGES.practice}
          text="Simulated. Not valid for the real tool."
        />{:else if !withdrawn && !tried}<Notice
          level="attention"
          testid="nest-by-geometry"
          title="Nested setting not tested"
          text="Calculated only. Press a dimpled coupon into the cut and record the fit as a re-check below. The label is available then."
        />{:else if !withdrawn && !bad}
        <p class="wraps-middle">
          <span class="label">Tape label</span>
          {#each TAPE_WIDTHS as width (width)}
            <a
              class="act small"
              href="/api/cages/{desk.view.cageId}/settings/{desk.view.id}/label.pdf?tape={width}"
              download>{width} mm</a
            >
          {/each}
        </p>
      {/if}
    {/snippet}
    {#snippet look()}
      <form class="rows" onsubmit={recheck}>
        <div class="in-two">
          <TextField
            name="holes"
            label={CAGES.holesCutSoFar}
            inputmode="numeric"
            maxlength={6}
            errors={Number.isInteger(holes) && holes >= 0 ? undefined : ['a whole number']}
            bind:value={() => holesText, (value) => desk.type('holes', value)}
          />
          <LengthField
            label={measured}
            value={flushText}
            {problem}
            whenEmpty={nested ? 'pressed into a nested cut' : 'film peeled'}
            oninput={(text) => desk.type('recheck', text)}
          />
        </div>
        <button class="act main" disabled={!flush.success || !Number.isInteger(holes)}
          >{CAGES.keepThisReCheck}</button
        >
      </form>
    {/snippet}
    {#snippet log()}
      {#if looks.length > 0}
        <table class="figures" data-testid="recheck-log">
          <thead><tr><th>After</th><th>Read</th><th>Result</th><th class="words">By</th></tr></thead
          >
          <tbody>
            {#each looks as one (one.id)}
              <tr>
                <th scope="row">{one.afterHoles} holes</th>
                <td><Length lengthIn={one.flushIn} decimal signed /></td>
                <td class:short={!one.good}>{WORDS[one.verdict]}</td>
                <td class="words">{one.by.split(' ')[0]}, {whenInWords(one.at)}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      {/if}
    {/snippet}
  </SetTool>
{/if}

<style>
</style>
