<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';
  import { carryUnit, isBare, sayInches } from '$lib/words/carry-unit';
  import { parseLength } from '$core/units/parse-length.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';

  /** A box for a length, or a list of them: whoever works in millimeters types bare figures, and what is stored says the unit. */
  interface Props extends Omit<HTMLInputAttributes, 'value' | 'oninput'> {
    value: string;
    oninput: (text: string) => void;
    /** no length: a count, a share, a text */
    plain?: boolean;
  }
  let { value, oninput, plain = false, placeholder = '', ...rest }: Props = $props();
  const preferences = usePreferences();
  const metric = $derived(!plain && preferences.lengths === 'mm');
  const stored = (text: string) => (metric ? carryUnit(text) : text);
  /** as typed, while the box is not left and nothing else was put in it */
  let draft = $state<string | null>(null);
  const shown = $derived(
    draft !== null && stored(draft) === value ? draft : metric ? sayInches(value) : value
  );
  const example = $derived.by(() => {
    const read = metric && isBare(placeholder ?? '') ? parseLength(placeholder ?? '') : null;
    return read?.ok ? preferences.text(read.valueIn) : placeholder;
  });
</script>

<input
  {...rest}
  class="field-box"
  type="text"
  autocomplete="off"
  spellcheck="false"
  placeholder={example}
  value={shown}
  oninput={(event) => {
    draft = event.currentTarget.value;
    oninput(stored(draft));
  }}
  onblur={() => (draft = null)}
/>
