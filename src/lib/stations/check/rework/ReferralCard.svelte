<script lang="ts">
  import { DASHES, rivetSize } from '$core/catalog/rivets.ts';
  import { drillIn } from '$core/catalog/drills.ts';
  import type { Referral } from '$core/reworking/rework-events.ts';
  import type { ReworkMove } from '$core/reworking/rework-moves.ts';
  import { partNumber } from '$core/stack/part-number.ts';
  import { parseLength } from '$core/units/parse-length.ts';
  import type { Dash } from '$core/schema/fields.ts';
  import type { ReworkDesk } from '../rework-desk.svelte';
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
  type Then = Extract<ReworkMove, { kind: 'answered' }>['then'];
  const empty = $derived(['out', 'ask'].includes(rework.state.holes.get(hole)?.stage ?? ''));
  let answer = $state('');
  let answeredBy = $state('');
  let authority = $state('');
  let what = $state<Then['what']>('nothing');
  let part = $state('');
  let fastener = $state('');
  let drill = $state('');
  let grip = $state('');
  const WHAT: Record<Then['what'], string> = {
    nothing: 'nothing by itself: it is looked at or taken out',
    leave: 'the head stays as it is',
    rivet: 'this rivet goes in',
    blind: 'an approved blind fastener goes in'
  };
  const choices = $derived<Then['what'][]>(
    empty ? ['nothing', 'rivet', 'blind'] : ['nothing', 'leave']
  );
  const lengthOf = (text: string) => {
    const read = parseLength(text);
    return read.ok && read.valueIn > 0 ? read.valueIn : null;
  };
  const then = $derived.by((): Then | null => {
    if (what === 'nothing' || what === 'leave') return { what };
    if (what === 'blind') {
      const [drillSize, gripIn] = [lengthOf(drill), lengthOf(grip)];
      return fastener.trim() === '' || drillSize === null || gripIn === null
        ? null
        : { what, blind: { fastener: fastener.trim(), drillIn: drillSize, gripIn } };
    }
    const read = partNumber({ text: part });
    if (!read.ok) return null;
    const { dash: size, canonical, lengthIn } = read.result;
    const school = rework.issued.facts.rules?.drill ?? 'close';
    return {
      what,
      dash: size,
      rivet: {
        dash: size,
        partNumber: canonical,
        lengthIn,
        holeIn: drillIn(rivetSize(size).drill[school])
      }
    };
  });
  const ready = $derived(
    then !== null && answer.trim() !== '' && answeredBy.trim() !== '' && authority.trim() !== ''
  );
  const when = (at: string) =>
    new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
  const smallest = $derived(DASHES.indexOf(dash));
</script>

<section class="referral" class:open={referral.answered === null} data-testid="referral">
  <p class="label">
    {referral.answered ? 'Answered' : '◇ Referred, open: nothing is signed before it is answered'}
  </p>
  <p><strong>{referral.question}</strong></p>
  <p class="hint">by {referral.by}, {when(referral.at)}</p>
  {#if referral.answered}
    <p>
      {referral.answered.answer}
      <span class="hint"
        >{referral.answered.answeredBy}, on {referral.answered.authority}; {WHAT[
          referral.answered.then.what
        ]}; logged by {referral.answered.by}, {when(referral.answered.at)}</span
      >
    </p>
  {:else}
    <form
      onsubmit={(event) => {
        event.preventDefault();
        if (ready && then)
          rework.add({
            kind: 'answered',
            referral: referral.id,
            answer: answer.trim(),
            answeredBy: answeredBy.trim(),
            authority: authority.trim(),
            then
          });
      }}
    >
      <TextField name="answer" label="What was answered" bind:value={answer} maxlength={600} />
      <TextField name="by" label="By whom" bind:value={answeredBy} maxlength={80} />
      <TextField
        name="authority"
        label="On what authority"
        bind:value={authority}
        maxlength={120}
        hint="the drawing, letter or data it rests on"
      />
      <Pick
        label="What becomes of it"
        value={what}
        options={choices.map((value) => ({ value, text: WHAT[value] }))}
        onchoose={(value) => (what = value)}
      />
      {#if what === 'rivet'}
        <TextField
          name="part"
          label="Part number"
          bind:value={part}
          errors={part.trim() !== '' && then === null
            ? ['no part number of a solid rivet']
            : undefined}
          hint="dash {DASHES[smallest]} was there; its hole is drilled to this size’s own drill"
        />
      {:else if what === 'blind'}
        <TextField name="fastener" label="Which fastener" bind:value={fastener} maxlength={80} />
        <TextField name="drill" label="Its drill, in or mm" bind:value={drill} />
        <TextField name="grip" label="Its grip, in or mm" bind:value={grip} />
      {/if}
      <button class="act main" disabled={!ready}>Log the answer</button>
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
  form {
    display: flex;
    flex-direction: column;
    gap: 8px;
  }
</style>
