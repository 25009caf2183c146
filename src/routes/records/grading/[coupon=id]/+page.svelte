<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { RECORDS } from '$lib/words/pages/records';
  import { onMount, untrack } from 'svelte';
  import { DASHES } from '$core/catalog/rivets.ts';
  import { CRITERIA, MOST_PLACES, type Criterion } from '$core/grading/coupon.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { whoIsHere } from '$lib/client/who';
  import Arithmetic from '$lib/ui/kit/Arithmetic.svelte';
  import Notice from '$lib/ui/kit/Notice.svelte';
  import Pick from '$lib/ui/kit/Pick.svelte';
  import Tabs from '$lib/ui/kit/Tabs.svelte';
  import TextField from '$lib/ui/kit/TextField.svelte';
  import Toggles from '$lib/ui/kit/Toggles.svelte';
  import CouponReadings from '$lib/ui/grading/CouponReadings.svelte';
  import { CouponDesk } from '$lib/ui/grading/coupon-desk.svelte';
  import { COUPON_PROBLEMS, CRITERION_NAMES, feedbackInWords } from '$lib/words/grading';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const preferences = usePreferences();
  const desk = untrack(() => new CouponDesk(data.id, data.kept));
  onMount(() => void desk.restore());
  const coupon = $derived(desk.entered);
  const person = $derived(whoIsHere());
  let open = $state<Criterion | ''>('');
  const shown = $derived(
    coupon.criteria.find(({ key }) => key === open) ?? coupon.criteria[0] ?? null
  );
  let arithmetic = $state(false);
  const errors = (path: string) => {
    const problem = desk.problemAt(path);
    return problem === undefined ? undefined : [COUPON_PROBLEMS[problem]];
  };
  const nameless = $derived(coupon.name.trim() === '' || coupon.student.trim() === '');
  const PLACES = Array.from({ length: MOST_PLACES }, (_, at) => String(at + 1));
</script>

<svelte:head><title>{coupon.name || 'A coupon'} · Zanjador</title></svelte:head>

<div class="page">
  <p class="hint"><a class="back" href="/records/grading">Graded coupons</a> / {coupon.name}</p>
  <header>
    <h1>{coupon.name || 'A new coupon'}</h1>
    {#if desk.graded}
      <p class="total" data-testid="coupon-marks">
        {desk.graded.marks.toFixed(1)} <small>of {desk.graded.points} marks</small>
      </p>
    {/if}
    <span class="acts">
      <button
        class="act main"
        type="button"
        disabled={desk.saving || desk.saved || nameless || person === null}
        onclick={() => void desk.save()}>{desk.saved ? RECORDS.kept : COMMON.keepIt}</button
      >
      {#if desk.isKept && desk.saved && desk.graded}
        <a class="act" href="/api/grading/{desk.id}/sheet.pdf?paper={preferences.paper}" download
          >{RECORDS.sheetPDF}</a
        >
      {/if}
    </span>
  </header>
  {#if desk.refusal}
    <Notice level="stop" title="Not saved" text={desk.refusal}>
      {#if desk.stale}
        <button
          class="act"
          type="button"
          onclick={() => {
            desk.forget();
            location.reload();
          }}>Discard mine, load theirs</button
        >
      {/if}
    </Notice>
  {/if}
  {#if person === null}
    <a class="act" href="/who?back=/records/grading/{desk.id}">Sign in to grade</a>
  {:else if nameless}
    <p class="hint">Enter coupon and student to save.</p>
  {/if}
  <div class="halves">
    <section aria-label="What is expected">
      <div class="pair">
        <TextField
          name="name"
          label={RECORDS.coupon}
          bind:value={() => coupon.name, (name) => desk.edit({ name })}
          maxlength={80}
        />
        <TextField
          name="student"
          label={RECORDS.student}
          bind:value={() => coupon.student, (student) => desk.edit({ student })}
          maxlength={80}
        />
        <Pick
          label="Rivet size"
          value={String(coupon.dash)}
          options={DASHES.map((dash) => ({ value: String(dash), text: `dash ${dash}` }))}
          onchoose={(value) =>
            desk.resize(DASHES.find((dash) => String(dash) === value) ?? coupon.dash)}
        />
        <Pick
          label={RECORDS.heads}
          value={coupon.head}
          options={[
            { value: 'universal', text: 'universal' },
            { value: 'countersunk', text: 'flush' }
          ]}
          onchoose={(head) => desk.edit({ head })}
        />
        <Pick
          label={RECORDS.placesRead}
          value={String(coupon.places)}
          options={PLACES.map((value) => ({ value, text: value }))}
          onchoose={(value) => desk.edit({ places: Number(value) })}
        />
      </div>
      <Toggles
        label="Graded by"
        value={coupon.criteria.map(({ key }) => key)}
        options={CRITERIA.map((value) => ({ value, text: CRITERION_NAMES[value] }))}
        onchange={(keys) => desk.choose(keys)}
      />
      {#each coupon.criteria as { key, expected, limit, points } (key)}
        <fieldset data-criterion={key}>
          <legend>{CRITERION_NAMES[key]}</legend>
          <TextField
            name="{key}-expected"
            label="expected"
            length
            bind:value={() => expected, (text) => desk.editCriterion(key, { expected: text })}
            errors={errors(`${key}.expected`)}
          />
          <TextField
            name="{key}-limit"
            label={RECORDS.limit}
            length
            bind:value={() => limit, (text) => desk.editCriterion(key, { limit: text })}
            errors={errors(`${key}.limit`)}
          />
          <TextField
            name="{key}-points"
            label="points"
            inputmode="decimal"
            bind:value={() => points, (text) => desk.editCriterion(key, { points: text })}
            errors={errors(`${key}.points`)}
          />
        </fieldset>
      {/each}
      <fieldset>
        <legend>the student’s measuring</legend>
        <TextField
          name="agree"
          label="agrees within ±"
          length
          bind:value={() => coupon.agreeWithin, (agreeWithin) => desk.edit({ agreeWithin })}
          errors={errors('agreeWithin')}
        />
        <TextField
          name="measuring"
          label="points"
          inputmode="decimal"
          bind:value={
            () => coupon.measuringPoints, (measuringPoints) => desk.edit({ measuringPoints })
          }
          errors={errors('measuringPoints')}
        />
      </fieldset>
    </section>
    <section aria-label="Readings">
      {#if shown}
        <Tabs
          label="What was read"
          value={shown.key}
          options={coupon.criteria.map(({ key }) => ({ value: key, text: CRITERION_NAMES[key] }))}
          onchoose={(key) => (open = key)}
        >
          <CouponReadings {desk} criterion={shown} />
        </Tabs>
      {:else}
        <p>Select the grading basis.</p>
      {/if}
      {#if desk.graded}
        <h2>Feedback</h2>
        <ul class="bulleted" data-testid="feedback">
          {#each desk.graded.feedback as said (`${said.key} ${said.code}`)}
            <li>{feedbackInWords(said, preferences.inWords)}</li>
          {/each}
        </ul>
        <button
          class="act"
          type="button"
          aria-expanded={arithmetic}
          onclick={() => (arithmetic = !arithmetic)}>{COMMON.arithmetic}</button
        >
        {#if arithmetic}<Arithmetic
            work={desk.graded.work}
            source="full points within the limit, half up to 1.5 times the limit; over the places the instructor measured"
          />{/if}
      {:else}
        <p class="hint" data-testid="ungraded">Not graded yet. {desk.problems[0] ?? ''}</p>
      {/if}
    </section>
  </div>
</div>

<style>
  header,
  .acts {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 18px;
  }
  h1 {
    flex: 1;
  }
  .total {
    font-size: 1.8rem;
    font-weight: 700;
  }
  .total small {
    font-size: 0.95rem;
    font-weight: 400;
  }
  .halves {
    display: grid;
    grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
    gap: 18px;
    align-items: start;
  }
  section {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 10px;
    padding: 12px 16px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--panel);
  }
  .pair {
    display: grid;
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 4px 12px;
  }
  fieldset {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 4px 12px;
    border-top: 1px solid var(--line);
  }
  legend {
    padding-top: 6px;
    font-weight: 700;
  }
  @media (max-width: 900px) {
    .halves {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
