<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { aroundLeft, isOpen } from '$core/old-work/old-work-stream.ts';
  import { Disposition, OLD_SIGNS, OldSign } from '$core/old-work/signs.ts';
  import { KeptFields } from '$lib/client/kept-fields.svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { AROUND_WORDS, DISPOSITIONS, OLD_SIGN_WORDS, oldFindingLines } from '$lib/words/old-work';
  import { OLD_WORK } from '$lib/words/pages/old-work';
  import { whenInWords } from '$lib/words/when';
  import { typedNumber } from '$core/units/typed-number.ts';
  import OutboxNotice from '../../ui/OutboxNotice.svelte';
  import Choice from '../../ui/kit/Choice.svelte';
  import More from '../../ui/kit/More.svelte';
  import Notice from '../../ui/kit/Notice.svelte';
  import Pick from '../../ui/kit/Pick.svelte';
  import TextField from '../../ui/kit/TextField.svelte';
  import { useOldWork } from './old-work-desk';
  import VoidIt from './VoidIt.svelte';

  /** Old work on a joint: what service left on existing rivets and picked-up holes, what lies around it, what becomes of it. */
  interface Props {
    jointId: string;
    person: string;
  }
  let { jointId, person }: Props = $props();
  const preferences = usePreferences();
  const desk = useOldWork();
  onMount(() => {
    void kept.restore();
    void desk.read();
  });
  const findings = $derived([...desk.state.values()]);
  const standing = $derived(findings.filter(({ voided }) => voided === null));
  const open = $derived(standing.filter(isOpen).length);
  const title = $derived(
    standing.length === 0
      ? OLD_WORK.title
      : `${OLD_WORK.title}: ${standing.length}, ${open === 0 ? OLD_WORK.settled : `${open} ${OLD_WORK.open}`}`
  );

  let sign = $state<OldSign>('smoking');
  /** kept in this browser until it is recorded */
  const kept = untrack(() => new KeptFields(`old-work-typed.${jointId}`));
  const of = (field: string) => kept.of(field) ?? '';
  const FIELDS = ['where', 'hours', 'note'];
  const hoursIn = $derived(of('hours').trim() === '' ? null : typedNumber(of('hours')));
  const wrongHours = $derived(hoursIn !== null && !(hoursIn >= 0));
  function find(event: SubmitEvent): void {
    event.preventDefault();
    const [where = '', , note = ''] = FIELDS.map((field) => of(field).trim());
    if (where === '' || wrongHours) return;
    if (desk.add({ kind: 'found', sign, where, note, hours: hoursIn })) kept.clear(...FIELDS);
  }
  let chosen = $state<Record<string, Disposition | undefined>>({});
  const refused = $derived(desk.refusal ? preferences.refusal(desk.refusal) : '');
</script>

<More {title}>
  <div class="old" data-testid="old-work">
    <p class="hint">{OLD_WORK.none}</p>
    <OutboxNotice outbox={desk.outbox} what="findings of old work" />
    {#each findings as found (found.id)}
      {@const disposition = chosen[found.id] ?? null}
      {@const seenField = `seen ${found.id}`}
      {@const dataField = `authority ${found.id}`}
      {@const left = aroundLeft(found)}
      <section class:voided={found.voided !== null} data-testid="old-finding">
        {#each oldFindingLines(found, whenInWords) as line, n (n)}
          <p class:first={n === 0}>{line}</p>
        {/each}
        {#if person && found.voided === null}
          {#if left.length > 0}
            <TextField
              name="seen-{found.id}"
              label={OLD_WORK.seen}
              maxlength={200}
              bind:value={() => of(seenField), (text) => kept.type(seenField, text)}
            />
            <div class="wraps" role="group" aria-label={OLD_WORK.around}>
              {#each left as what (what)}
                <button
                  class="act small"
                  type="button"
                  onclick={() => {
                    const seen = of(seenField).trim();
                    if (desk.add({ kind: 'looked-around', finding: found.id, what, seen }))
                      kept.clear(seenField);
                  }}>{OLD_WORK.looked}: {AROUND_WORDS[what]}</button
                >
              {/each}
            </div>
          {/if}
          <form
            onsubmit={(event) => {
              event.preventDefault();
              if (disposition === null) return;
              const authority = of(dataField).trim();
              const decided = { finding: found.id, disposition, authority, note: '' };
              if (desk.add({ kind: 'disposed', ...decided })) kept.clear(dataField);
            }}
          >
            <Choice
              label={OLD_WORK.disposition}
              value={disposition ?? ''}
              options={Disposition.options.map((value) => ({ value, text: DISPOSITIONS[value] }))}
              onchoose={(value) => (chosen[found.id] = value)}
            />
            {#if disposition !== null && !OLD_SIGNS[found.sign].usual.includes(disposition)}
              <TextField
                name="authority-{found.id}"
                label={OLD_WORK.authority}
                maxlength={120}
                bind:value={() => of(dataField), (text) => kept.type(dataField, text)}
              />
            {/if}
            <button class="act" disabled={disposition === null}>{OLD_WORK.decide}</button>
          </form>
          <VoidIt
            name="void-old-{found.id}"
            act={OLD_WORK.voidIt}
            onvoid={(why) => desk.add({ kind: 'voided', finding: found.id, why })}
          />
        {/if}
      </section>
    {/each}
    {#if person}
      <form onsubmit={find} data-testid="new-finding">
        <Pick
          label={OLD_WORK.sign}
          value={sign}
          options={OldSign.options.map((value) => ({ value, text: OLD_SIGN_WORDS[value].name }))}
          onchoose={(value) => (sign = value)}
        />
        <p class="hint">{OLD_SIGN_WORDS[sign].means}</p>
        <TextField
          name="old-where"
          label={OLD_WORK.where}
          hint={OLD_WORK.whereEx}
          maxlength={120}
          bind:value={() => of('where'), (text) => kept.type('where', text)}
        />
        <TextField
          name="old-hours"
          label={OLD_WORK.hours}
          inputmode="decimal"
          maxlength={10}
          bind:value={() => of('hours'), (text) => kept.type('hours', text)}
        />
        {#if wrongHours}<p class="hint">Enter hours as a number, such as 4120.</p>{/if}
        <TextField
          name="old-note"
          label={OLD_WORK.note}
          maxlength={400}
          bind:value={() => of('note'), (text) => kept.type('note', text)}
        />
        <button class="act main" disabled={of('where').trim() === '' || wrongHours}
          >{OLD_WORK.record}</button
        >
      </form>
    {/if}
    {#if refused}<Notice level="attention" title={OLD_WORK.notTaken} text="{refused}." />{/if}
  </div>
</More>

<style>
  .old,
  section,
  form {
    display: flex;
    flex-direction: column;
    gap: 6px;
  }
  section {
    padding: 8px 12px;
    border: 1.5px solid var(--line-strong);
    border-radius: 8px;
  }
  .first {
    font-weight: 700;
  }
  .voided {
    color: var(--ink-soft);
  }
</style>
