<script lang="ts">
  import { CAGES } from '$lib/words/pages/cages';
  import { COMMON } from '$lib/words/pages/common';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { onMount, untrack } from 'svelte';
  import { goto } from '$app/navigation';
  import { DRILLS } from '$core/catalog/drills.ts';
  import { DASHES, rivetSize } from '$core/catalog/rivets.ts';
  import type { Cage } from '$core/ready/cage/cage.ts';
  import { offerFor, type RememberedSetting } from '$core/ready/cage/remembered.ts';
  import { CageSetup } from '$core/ready/cage/setup.ts';
  import { mayBegin, setupChecks } from '$core/ready/cage/setup-checks.ts';
  import type { CageTask } from '$core/ready/cage/tasks.ts';
  import type { FlushnessSchool } from '$core/rules/flushness.ts';
  import { SCHOOLS } from '$core/rules/schools.ts';
  import { THICKEST_SHEET_IN } from '$core/schema/fields.ts';
  import { problemsOf } from '$core/schema/read.ts';
  import { writeDecimal } from '$core/units/format-length.ts';
  import { KeptFields } from '$lib/client/kept-fields.svelte';
  import { beginSettingAt } from '$lib/api/cages.ts';
  import { call } from '$lib/client/call';
  import Choice from '../kit/Choice.svelte';
  import Length from '../kit/Length.svelte';
  import LengthField from '../kit/LengthField.svelte';
  import Notice from '../kit/Notice.svelte';
  import TextField from '../kit/TextField.svelte';
  import SetupChecks from './SetupChecks.svelte';
  import { notationInWords } from '$lib/words/arithmetic';

  /** What a cage is to be set for, held against the cage before the first hole. */
  interface Props {
    cageId: string;
    cage: Cage;
    remembered: readonly RememberedSetting[];
    /** the joint's own step, which fills most of it in */
    task: (CageTask & { jointId: string; work: string }) | null;
    recheckEvery: number;
  }
  let { cageId, cage, remembered, task, recheckEvery }: Props = $props();
  const preferences = usePreferences();
  const text = (lengthIn: number | null | undefined) =>
    lengthIn === null || lengthIn === undefined ? '' : writeDecimal(lengthIn, 3, 6);
  const HOLES = DASHES.map((dash) => rivetSize(dash).drill.close);
  /** what the joint and the shop say of it */
  const told = $derived<Record<string, string>>({
    dash: String(task?.setup.dash ?? 4),
    seat: task?.setup.seat ?? 'rivet',
    sheetIn: text(task?.setup.sheetIn),
    material: task?.setup.material ?? '',
    skinIn: text(task?.setup.skinIn),
    holeIn: text(task?.setup.holeIn),
    couponIn: '',
    couponMaterial: task?.setup.material ?? '',
    backingIn: '',
    filmIn: '0',
    school: task?.setup.school ?? 'two-proud',
    targetIn: '',
    recheckEvery: String(recheckEvery)
  });
  /** what was typed here, over it */
  const kept = new KeptFields(
    untrack(() => `setup.${cageId}.${task ? `${task.jointId}.${task.key}` : ''}`)
  );
  onMount(() => void kept.restore(1));
  const typed = $derived<Record<string, string>>({ ...told, ...kept.all });
  const type = (field: string, value: string) => kept.type(field, value);
  const of = (field: string): string => typed[field] ?? '';
  const orNull = (field: string) => (of(field).trim() === '' ? null : of(field));
  const FILM_ASKED = [
    { key: 'filmCut', part: 'cut', label: 'Film on while the coupon is cut' },
    { key: 'filmRead', part: 'read', label: 'Film on while the head is read' },
    { key: 'filmWork', part: 'work', label: 'Film on while the work will be cut' }
  ] as const;
  const hasFilm = $derived(Number.parseFloat(of('filmIn')) > 0 || /[1-9]/.test(of('filmIn')));
  /** null until all three are answered */
  const filmOn = $derived(
    hasFilm && FILM_ASKED.every(({ key }) => of(key) !== '')
      ? Object.fromEntries(FILM_ASKED.map(({ key, part }) => [part, of(key) === 'yes']))
      : null
  );
  const read = $derived(
    CageSetup.safeParse(
      {
        ...Object.fromEntries(
          Object.entries(typed).filter(
            ([key]) => key !== 'thickMeant' && !FILM_ASKED.some((asked) => asked.key === key)
          )
        ),
        dash: Number(of('dash')),
        skinIn: orNull('skinIn'),
        targetIn: orNull('targetIn'),
        filmOn,
        thickMeant: of('thickMeant') === 'yes' || (task?.setup.sheetIn ?? 0) > THICKEST_SHEET_IN,
        recheckEvery: Number(of('recheckEvery'))
      },
      { reportInput: true }
    )
  );
  const problems = $derived(
    new Map(read.success ? [] : problemsOf(read.error).map(({ path, said }) => [path, said]))
  );
  const problemOf = (field: string) => {
    const said = problems.get(field);
    return said === undefined ? undefined : { said, instead: null };
  };
  const wrongEvery = $derived(problems.get('recheckEvery'));
  const checks = $derived(read.success ? setupChecks(cage, read.data) : null);
  const offer = $derived(read.success ? offerFor(read.data, remembered) : null);
  const drill = $derived(
    DRILLS.find(({ diameterIn }) => read.success && diameterIn === read.data.holeIn)?.name
  );
  const day = new Intl.DateTimeFormat('en', { dateStyle: 'long' });
  const schoolOptions = $derived(
    (SCHOOLS.find(({ key }) => key === 'flushness')?.options ?? []).map((option) => ({
      value: option.value as FlushnessSchool,
      text: notationInWords(option.text, preferences.lengths),
      title: option.who
    }))
  );
  interface Field {
    key: string;
    label: string;
    whenEmpty?: string;
    /** id of a list of usual values */
    list?: string;
  }
  const SHEET_FIELDS: Field[] = [
    { key: 'sheetIn', label: CAGES.theSheetToCut, list: 'gauges' },
    {
      key: 'skinIn',
      label: 'Dimpled sheets above it',
      whenEmpty: 'none: a rivet in the cut',
      list: 'gauges'
    },
    { key: 'holeIn', label: CAGES.theHole, list: 'final-drills' }
  ];
  const COUPON_FIELDS: Field[] = [
    { key: 'couponIn', label: CAGES.theCouponAsMeasured, list: 'gauges' },
    { key: 'backingIn', label: CAGES.backingUnderIt },
    { key: 'filmIn', label: 'Film thickness', whenEmpty: '0 where none is on' }
  ];
  let refusal = $state('');
  const id = crypto.randomUUID();
  async function begin(): Promise<void> {
    if (!read.success) return;
    const step = task ? { jointId: task.jointId, key: task.key, rests: task.rests } : null;
    const reply = await call(
      beginSettingAt,
      { cage: cageId },
      { id, setup: read.data, step, work: task?.work ?? '' }
    );
    if (reply.reached && reply.ok) {
      kept.forget();
      await goto(`/setups/${cageId}/${id}`);
    } else
      refusal = reply.reached
        ? reply.message
        : 'The server cannot be reached. Nothing typed is lost: try again.';
  }
</script>

{#snippet lengths(fields: readonly Field[])}
  {#each fields as field (field.key)}
    <LengthField
      label={field.label}
      value={of(field.key)}
      problem={problemOf(field.key)}
      whenEmpty={field.whenEmpty ?? ''}
      list={field.list}
      onmeant={() => type('thickMeant', 'yes')}
      oninput={(value) => type(field.key, value)}
    />
  {/each}
{/snippet}

<div class="halves">
  <section aria-labelledby="for-what">
    <h2 id="for-what" class="label">For what</h2>
    <div class="pair">
      <Choice
        label="Rivet, dash"
        value={of('dash')}
        options={DASHES.map((dash) => ({ value: String(dash), text: String(dash) }))}
        onchoose={(value) => type('dash', value)}
      />
      <Choice
        label="In the cut while measuring"
        value={of('seat')}
        options={[
          { value: 'rivet', text: 'a rivet' },
          { value: 'dimpled-scrap', text: 'a dimpled scrap' }
        ]}
        onchoose={(value) => type('seat', value)}
      />
    </div>
    <div class="three">
      {@render lengths(SHEET_FIELDS)}
    </div>
    {#if drill}<p class="hint">The hole is a {drill} drill’s.</p>{/if}
    <h2 class="label">The coupon</h2>
    <div class="three">
      {@render lengths(COUPON_FIELDS)}
    </div>
    {#if hasFilm}
      <div class="three">
        {#each FILM_ASKED as { key, label } (key)}
          <Choice
            {label}
            value={of(key)}
            options={[
              { value: 'yes', text: 'on' },
              { value: 'no', text: 'off' }
            ]}
            onchoose={(value) => type(key, value)}
          />
        {/each}
      </div>
    {/if}
    <TextField
      name="couponMaterial"
      label="Material of the coupon"
      maxlength={40}
      bind:value={() => of('couponMaterial'), (value) => type('couponMaterial', value)}
    />
    <h2 class="label">How flush</h2>
    <Choice
      label="Head over the skin"
      quiet
      value={of('school') as FlushnessSchool}
      options={schoolOptions}
      onchoose={(value) => type('school', value)}
    />
    <div class="pair">
      <LengthField
        label="Aim at"
        value={of('targetIn')}
        problem={problemOf('targetIn')}
        whenEmpty="the middle of the limits"
        oninput={(value) => type('targetIn', value)}
      />
      <TextField
        name="recheckEvery"
        label="Re-check every … holes"
        inputmode="numeric"
        maxlength={4}
        errors={wrongEvery ? [preferences.refusal(wrongEvery)] : undefined}
        bind:value={() => of('recheckEvery'), (value) => type('recheckEvery', value)}
      />
    </div>
    <datalist id="final-drills">
      {#each HOLES as name (name)}<option
          value={preferences.offered(text(DRILLS.find((one) => one.name === name)?.diameterIn))}
          >{name}</option
        >{/each}
    </datalist>
  </section>
  <section aria-labelledby="before">
    <h2 id="before" class="label">Before the first hole</h2>
    {#if checks}
      <SetupChecks {checks} />
      {#if offer?.state.found}
        <div class="offer" data-testid="offer">
          <strong
            >This cage was set for this before: flush at {offer.state.found.clicks} clicks.</strong
          >
          <span
            >{day.format(new Date(offer.state.found.at))}, {offer.state.found.by}, on a coupon of <Length
              lengthIn={offer.setup.couponIn}
              decimal
            />
            {offer.setup.couponMaterial}. The guide begins there: check it on scrap before you trust
            it.</span
          >
        </div>
      {/if}
      {#if refusal !== ''}<Notice level="stop" title="Not begun" text={refusal} />{/if}
      <button
        class="act main begin"
        type="button"
        disabled={!mayBegin(checks)}
        onclick={() => void begin()}>{COMMON.beginTheTrials}</button
      >
      {#if !mayBegin(checks)}<p class="hint">What is marked ✕ has to be put right first.</p>{/if}
    {:else}
      <p class="hint">
        Fill in the coupon and its backing at the left: thickness as measured, not as sold.
      </p>
    {/if}
  </section>
</div>

<style>
  .halves {
    display: grid;
    grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
    gap: 18px;
    align-items: start;
  }
  section {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 8px;
    padding: 12px 16px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--panel);
  }
  .pair,
  .three {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 250px), 1fr));
    gap: 10px;
  }
  .three {
    grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  }
  .offer {
    display: grid;
    gap: 2px;
    padding: 8px 12px;
    border-left: 5px solid var(--olive);
    border-radius: 8px;
    background: var(--olive-soft);
  }
  .begin {
    min-height: 56px;
    font-size: 1.1rem;
  }
  @media (max-width: 900px) {
    .halves {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
