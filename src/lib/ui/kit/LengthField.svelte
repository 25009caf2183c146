<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { refusalInWords } from '$lib/words/refusals';
  import { inStyle } from '$lib/words/writing';
  import { understood } from '$lib/words/understood';
  import LengthInput from './LengthInput.svelte';
  import { maybeMeant, type FieldProblem } from './field-problem.ts';

  /** A length as one writes it, with how it was understood, or what is wrong and what would work. */
  interface Props {
    label: string;
    value: string;
    oninput: (text: string) => void;
    problem?: FieldProblem | undefined;
    /** a thick part is asked about: it is meant */
    onmeant?: (() => void) | undefined;
    placeholder?: string;
    /** said instead of the reading while the field is empty */
    whenEmpty?: string;
    /** the label is there for screen readers only */
    quiet?: boolean;
    /** id of a list of usual values */
    list?: string;
    /** a number without a unit: nothing to say about how it was understood */
    plain?: boolean;
    testid?: string | undefined;
    /** so that a link leads to it */
    anchor?: string;
  }
  let {
    label,
    value,
    oninput,
    problem,
    onmeant,
    placeholder = '',
    whenEmpty = '',
    quiet = false,
    list,
    plain = false,
    testid,
    anchor
  }: Props = $props();
  const preferences = usePreferences();
  const own = $props.id();
  const id = $derived(anchor ?? own);
  const reading = $derived(
    value.trim() === '' ? whenEmpty : plain ? '' : (understood(value) ?? '')
  );
  /** what is wrong with a figure is said in the unit that it was typed in */
  const asTyped = $derived(/mm\s*$/i.test(value) ? inStyle('mm') : preferences.inWords);
  const missing = $derived(problem !== undefined && value.trim() === '');
</script>

<div class="field">
  <label class={quiet ? 'sr-only' : 'label'} for={id}>{label}</label>
  <LengthInput
    {id}
    data-testid={testid}
    data-needed={missing ? '' : undefined}
    inputmode="text"
    maxlength={200}
    {placeholder}
    {list}
    {value}
    {plain}
    aria-invalid={problem !== undefined && !missing}
    aria-describedby="{id}-said"
    {oninput}
  />
  <p id="{id}-said" class="hint" class:wrong={problem && !missing} aria-live="polite">
    {#if problem && !missing}
      {refusalInWords(problem.said, asTyped)}
      {#if problem.instead !== null}
        <button class="act instead" type="button" onclick={() => oninput(problem.instead ?? '')}>
          Use {problem.instead}
        </button>
      {/if}
      {#if onmeant && maybeMeant(problem)}
        <button class="act instead" type="button" onclick={onmeant}>Yes, {value} is meant</button>
      {/if}
    {:else if missing}
      needed
    {:else}
      {reading}
    {/if}
  </p>
</div>

<style>
  .field {
    display: flex;
    flex-direction: column;
    gap: 2px;
    min-width: 0;
  }
  .hint {
    min-height: 1lh;
  }
  .wrong {
    color: var(--amber);
    white-space: normal;
  }
  .instead {
    margin-top: 4px;
    border-color: var(--amber-line);
  }
</style>
