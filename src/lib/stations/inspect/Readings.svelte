<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { onMount } from 'svelte';
  import { told } from '$core/refusal-said.ts';
  import type { InspectDesk } from './inspect-desk.svelte';
  import LengthField from '../../ui/kit/LengthField.svelte';

  /** Diameter and height of a head, by keys: Enter judges a field by itself, goes on, and at the end hands the head over. */
  interface Props {
    desk: InspectDesk;
    hole: number;
    placeholders: { diameter: string; height: string };
    /** both stand and are right */
    ondone: () => void;
    /** C in a field: all three places are clean; in the height it is recorded too */
    onclean: () => void;
    /** to the hole before or after */
    onstep: (by: -1 | 1) => void;
  }
  let { desk, hole, placeholders, ondone, onclean, onstep }: Props = $props();
  type Field = 'diameter' | 'height';
  const FIELDS: readonly Field[] = ['diameter', 'height'];
  const MISSING = told('Enter a value');
  const typed = $derived(desk.typedFor(hole));
  const problems = $derived(desk.problemsFor(hole));
  /** fields that were left or entered: a figure half typed is not called wrong */
  let settled = $state({ diameter: false, height: false });
  /** a field that was entered empty */
  let needed = $state<Field | null>(null);
  let box = $state<HTMLElement>();
  // another head begins with nothing said of its fields
  $effect(() => {
    if (!hole) return;
    settled = { diameter: false, height: false };
    needed = null;
  });

  function problemOf(field: Field) {
    const said = needed === field ? MISSING : settled[field] ? problems[field] : null;
    return said ? { said, instead: null } : undefined;
  }
  const inputs = () => [...(box?.querySelectorAll('input') ?? [])];
  const fieldOf = (target: EventTarget | null): Field | null =>
    FIELDS[inputs().findIndex((input) => input === target)] ?? null;

  function type(field: Field, text: string): void {
    settled = { ...settled, [field]: false };
    if (needed === field) needed = null;
    desk.type(hole, { [field]: text });
  }
  function goTo(field: Field): void {
    const input = inputs()[FIELDS.indexOf(field)];
    input?.focus();
    input?.select();
  }
  // work begins here as the page opens, where there is a keyboard
  onMount(() => {
    const [first] = inputs();
    if (!first || !matchMedia('(pointer: fine)').matches) return;
    // what goes to another page looks for this
    first.setAttribute('autofocus', '');
    if (document.activeElement === document.body) first.focus();
  });
  /** Goes to the first figure, for the next head. */
  export function begin(): void {
    goTo('diameter');
  }
  /** A reading that came from an instrument: into the field one is in, else the first that is empty; on as by Enter. */
  export function take(text: string, simulated: boolean): void {
    const field =
      fieldOf(document.activeElement) ??
      FIELDS.find((one) => typed[one].trim() === '') ??
      'diameter';
    desk.type(hole, { [field]: text, ...(simulated ? { simulated } : {}) });
    enter(field);
  }
  /** What keeps the head from being recorded, the first field first; null where nothing does. */
  const wrongField = (): Field | null =>
    FIELDS.find((field) => typed[field].trim() === '' || problems[field]) ?? null;

  function enter(field: Field): void {
    settled = { ...settled, [field]: true };
    if (typed[field].trim() === '') needed = field;
    else if (!problems[field]) {
      const wrong = wrongField();
      if (wrong === null) ondone();
      else goTo(wrong);
    }
  }
  function onkeydown(event: KeyboardEvent): void {
    const field = fieldOf(event.target);
    if (field === null || event.isComposing || event.ctrlKey || event.metaKey || event.altKey)
      return;
    if (event.key.toLowerCase() === 'c') {
      event.preventDefault();
      onclean();
      // in the last field that is all there is to say of the head
      if (field === 'height') enter(field);
    }
    // a bracket is no figure: it goes along the holes from here too
    if (event.key === '[' || event.key === ']') {
      event.preventDefault();
      onstep(event.key === '[' ? -1 : 1);
    }
    if (event.key !== 'Enter') return;
    event.preventDefault();
    enter(field);
  }
  function onfocusout(event: FocusEvent): void {
    const field = fieldOf(event.target);
    if (field !== null) settled = { ...settled, [field]: true };
  }
  function keys(of: HTMLElement): () => void {
    of.addEventListener('keydown', onkeydown);
    of.addEventListener('focusout', onfocusout);
    return () => {
      of.removeEventListener('keydown', onkeydown);
      of.removeEventListener('focusout', onfocusout);
    };
  }
</script>

<div class="readings" bind:this={box} {@attach keys}>
  <LengthField
    anchor="diameter"
    label={COMMON.diameter}
    placeholder={placeholders.diameter}
    value={typed.diameter}
    problem={problemOf('diameter')}
    oninput={(text) => type('diameter', text)}
  />
  <LengthField
    label={desk.isDimpled(hole) ? 'Height from the dimple' : COMMON.height}
    placeholder={placeholders.height}
    value={typed.height}
    problem={problemOf('height')}
    oninput={(text) => type('height', text)}
  />
</div>

{#if typed.simulated}
  <p class="warns" data-testid="practice">
    Simulated reading: practice only.
    <button
      class="act small"
      type="button"
      onclick={() => desk.type(hole, { diameter: '', height: '', simulated: false })}
      >Clear both</button
    >
  </p>
{/if}

<style>
  .readings {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 10px;
  }
  .readings :global(input) {
    font-size: 1.6rem;
    font-weight: 700;
    min-height: 56px;
  }
  .readings :global(input::placeholder) {
    color: var(--ink-soft);
    opacity: 0.6;
    font-weight: 400;
  }
</style>
