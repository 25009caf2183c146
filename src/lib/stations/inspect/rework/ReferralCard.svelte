<script lang="ts">
  import { whenInWords } from '$lib/words/when';
  import { COMMON } from '$lib/words/pages/common';
  import { CHECK } from '$lib/words/pages/inspect';
  import { DASHES, rivetSize } from '$core/catalog/rivets.ts';
  import { drillIn } from '$core/catalog/drills.ts';
  import type { Referral } from '$core/reworking/rework-state.ts';
  import type { ReworkMove } from '$core/reworking/rework-moves.ts';
  import { partNumber } from '$core/stack/part-number.ts';
  import { parseLength } from '$core/units/parse-length.ts';
  import type { Dash } from '$core/schema/fields.ts';
  import type { ReworkDesk } from '../rework-desk.svelte';
  import { surroundings } from '$core/reworking/surroundings.ts';
  import Around from './Around.svelte';
  import Pick from '../../../ui/kit/Pick.svelte';
  import TextField from '../../../ui/kit/TextField.svelte';

  /** A question with its answer, or the place to write what was answered, by whom and on what authority. */
  interface Props {
    rework: ReworkDesk;
    referral: Referral;
    hole: number;
    dash: Dash;
  }
  let { rework, referral, hole, dash }: Props = $props();
  const around = $derived(referral.hole === null ? null : surroundings(rework.now, referral.hole));
  type Then = Extract<ReworkMove, { kind: 'answered' }>['then'];
  const now = $derived(rework.state.holes.get(hole));
  const empty = $derived(now?.stage === 'out' || now?.stage === 'ask');
  const widestIn = $derived(now?.widestIn ?? null);
  const FIELDS = [
    'answer',
    'by',
    'authority',
    'what',
    'part',
    'fastener',
    'drill',
    'grip'
  ] as const;
  const typed = $derived(rework.fieldsOf(referral.id));
  const text = (field: (typeof FIELDS)[number]) => typed.of(field);
  const WHAT: Record<Then['what'], string> = {
    nothing: 'none: inspect or remove the rivet',
    leave: 'leave as is',
    rivet: 'install this rivet',
    blind: 'install an approved blind fastener'
  };
  const choices = $derived<Then['what'][]>(
    empty ? ['nothing', 'rivet', 'blind'] : ['nothing', 'leave']
  );
  /** what an answer may come to changes with the hole: a choice that is gone is none */
  const what = $derived(choices.find((one) => one === text('what')) ?? 'nothing');
  const lengthOf = (typedLength: string) => {
    const read = parseLength(typedLength);
    return read.ok && read.valueIn > 0 ? read.valueIn : null;
  };
  const then = $derived.by((): Then | null => {
    if (what === 'nothing' || what === 'leave') return { what };
    if (what === 'blind') {
      const [drillSize, gripIn] = [lengthOf(text('drill')), lengthOf(text('grip'))];
      const fastener = text('fastener').trim();
      return fastener === '' || drillSize === null || gripIn === null
        ? null
        : { what, blind: { fastener, drillIn: drillSize, gripIn } };
    }
    const read = partNumber({ text: text('part') });
    if (!read.ok) return null;
    const { dash: size, canonical, lengthIn } = read.result;
    const school = rework.asReleased.facts.rules?.drill ?? 'close';
    return {
      what,
      dash: size,
      rivet: {
        dash: size,
        partNumber: canonical,
        lengthIn,
        // drilled to its size, where the hole is not wider than that already
        holeIn: Math.max(drillIn(rivetSize(size).drill[school]), widestIn ?? 0)
      }
    };
  });
  const ready = $derived(
    then !== null &&
      (['answer', 'by', 'authority'] as const).every((field) => text(field).trim() !== '')
  );
  const smallest = $derived(DASHES.indexOf(dash));
</script>

<section class="referral" class:open={referral.answered === null} data-testid="referral">
  <p class="label">
    {referral.answered ? 'Answered' : CHECK.referredOpenNothingIsSigned}
  </p>
  <p><strong>{referral.question}</strong></p>
  <p class="hint">by {referral.by}, {whenInWords(referral.at)}</p>
  {#if around}<Around {around} />{/if}
  {#if referral.answered}
    <p>
      {referral.answered.answer}
      <span class="hint"
        >{referral.answered.answeredBy}, on {referral.answered.authority}; {WHAT[
          referral.answered.then.what
        ]}; logged by {referral.answered.by}, {whenInWords(referral.answered.at)}</span
      >
    </p>
  {:else}
    <form
      class="column"
      onsubmit={(event) => {
        event.preventDefault();
        if (!ready || !then) return;
        const answered = {
          kind: 'answered' as const,
          referral: referral.id,
          answer: text('answer').trim(),
          answeredBy: text('by').trim(),
          authority: text('authority').trim(),
          then
        };
        if (rework.add(answered)) typed.clear(...FIELDS);
      }}
    >
      <TextField
        name="answer"
        label={CHECK.whatWasAnswered}
        bind:value={() => text('answer'), (now) => typed.type('answer', now)}
        maxlength={600}
      />
      <TextField
        name="by"
        label={CHECK.byWhom}
        bind:value={() => text('by'), (now) => typed.type('by', now)}
        maxlength={80}
      />
      <TextField
        name="authority"
        label={CHECK.onWhatAuthority}
        bind:value={() => text('authority'), (now) => typed.type('authority', now)}
        maxlength={120}
        hint="the drawing, letter or data it rests on"
      />
      <Pick
        label={CHECK.whatBecomesOfIt}
        value={what}
        options={choices.map((value) => ({ value, text: WHAT[value] }))}
        onchoose={(value) => typed.type('what', value)}
      />
      {#if what === 'rivet'}
        <TextField
          name="part"
          label={COMMON.partNumber}
          bind:value={() => text('part'), (now) => typed.type('part', now)}
          errors={text('part').trim() !== '' && then === null
            ? ['no part number of a solid rivet']
            : undefined}
          hint="dash {DASHES[
            smallest
          ]} was installed; drill the hole to this size unless it is already larger"
        />
      {:else if what === 'blind'}
        <TextField
          name="fastener"
          label="Which fastener"
          bind:value={() => text('fastener'), (now) => typed.type('fastener', now)}
          maxlength={80}
        />
        <TextField
          name="drill"
          label="Drill size, in or mm"
          bind:value={() => text('drill'), (now) => typed.type('drill', now)}
        />
        <TextField
          name="grip"
          label="Grip, in or mm"
          bind:value={() => text('grip'), (now) => typed.type('grip', now)}
        />
      {/if}
      <button class="act main" disabled={!ready}>{CHECK.logTheAnswer}</button>
    </form>
  {/if}
</section>

<style>
  .referral {
    display: flex;
    flex-direction: column;
    gap: 6px;
    padding: 10px 12px;
    border: 2px solid var(--line-strong);
    border-radius: 10px;
  }
  .open {
    border-color: var(--dye);
    background: var(--dye-soft);
  }
</style>
