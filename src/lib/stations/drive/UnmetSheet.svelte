<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { onMount } from 'svelte';
  import type { ObjectionAnswer } from '$core/driving/drive-events.ts';
  import { objectionKey } from '$core/driving/objections.ts';
  import { OBJECTION_ANSWERS, objectionInWords } from '$lib/words/objections';
  import { sentence } from '$lib/words/writing';
  import Choice from '../../ui/kit/Choice.svelte';
  import TextField from '../../ui/kit/TextField.svelte';
  import type { DriveDesk } from './drive-desk.svelte';
  import { DRIVE_SAFETY, TOOL_CHECKS } from '$lib/words/driving';
  import { DRIVE } from '$lib/words/pages/drive';
  import { noteSafetyRead, safetyRead } from './safety-read';

  /** What is not met before a rivet is logged: each answered once, on record. */
  interface Props {
    desk: DriveDesk;
    person: string;
  }
  let { desk, person }: Props = $props();
  const unread = $derived(!safetyRead(person));
  let form = $state<HTMLFormElement>();
  // it comes in the place of what was pressed, which may be at the edge of the screen
  onMount(() => form?.scrollIntoView({ block: 'nearest' }));
  type Answer = ObjectionAnswer['answer'];
  let chosen = $state<Record<string, Answer>>({});
  let whys = $state<Record<string, string>>({});
  const OPTIONS = (['done', 'not-needed', 'reason'] as const).map((value) => ({
    value,
    text: OBJECTION_ANSWERS[value]
  }));
  const isAnswered = (key: string) =>
    chosen[key] !== undefined && (chosen[key] !== 'reason' || (whys[key] ?? '').trim() !== '');
  const open = $derived(desk.first.unmet.filter((said) => !isAnswered(objectionKey(said))).length);
  function keep(event: SubmitEvent): void {
    event.preventDefault();
    if (open > 0) return;
    noteSafetyRead(person);
    desk.first.answer(
      new Map(
        desk.first.unmet.map((said) => {
          const key = objectionKey(said);
          const answer = chosen[key] ?? 'reason';
          return [key, { answer, why: answer === 'reason' ? (whys[key] ?? '').trim() : '' }];
        })
      )
    );
  }
</script>

<form bind:this={form} onsubmit={keep} data-testid="unmet-sheet" aria-label="Not met">
  {#if unread}
    <section aria-label={DRIVE.safetyFirst} data-testid="safety-once">
      <h2 class="label">△ {DRIVE.safetyFirst}</h2>
      <ul class="bulleted">
        {#each DRIVE_SAFETY as line (line)}<li>{line}</li>{/each}
      </ul>
      <p class="hint">Daily tool check: {TOOL_CHECKS.join(' · ')}</p>
    </section>
  {/if}
  {#if desk.first.unmet.length > 0}<p>
      <strong>Nothing is logged yet. Answer each, once for this release; it stays on record.</strong
      >
    </p>{/if}
  {#each desk.first.unmet as said (objectionKey(said))}
    {@const key = objectionKey(said)}
    <Choice
      label={sentence(objectionInWords(said))}
      value={chosen[key] ?? ''}
      options={OPTIONS}
      onchoose={(value) => (chosen[key] = value as Answer)}
    />
    {#if chosen[key] === 'reason'}
      <TextField
        name="why-{key}"
        label="The reason"
        maxlength={200}
        bind:value={() => whys[key] ?? '', (text) => (whys[key] = text)}
      />
    {/if}
  {/each}
  <div class="in-a-row">
    <button data-testid="log-answers" class="act main" disabled={open > 0}
      >{open > 0
        ? `${open} to answer`
        : desk.first.unmet.length > 0
          ? DRIVE.logAnswers
          : DRIVE.readAndLog}</button
    >
    <button class="act" type="button" onclick={() => (desk.first.pending = null)}
      >{COMMON.back}</button
    >
  </div>
</form>

<style>
  section {
    display: grid;
    gap: 6px;
    padding: 10px 12px;
    border-left: 6px solid var(--amber-line);
    border-radius: 8px;
    background: var(--amber-soft);
  }
  form {
    display: grid;
    gap: 10px;
    padding: 10px 12px;
    border: 2px solid var(--amber-line);
    border-radius: 10px;
  }
</style>
