<script lang="ts">
  import { CHECK } from '$lib/words/pages/inspect';
  import { COMMON } from '$lib/words/pages/common';
  import { parseLength } from '$core/units/parse-length.ts';
  import { told } from '$core/refusal-said.ts';
  import { HOWS, type TypedLook } from './typed-look.ts';
  import LengthField from '../../ui/kit/LengthField.svelte';
  import More from '../../ui/kit/More.svelte';
  import Pick from '../../ui/kit/Pick.svelte';

  /** How the figures were read, where the eye cannot go: with how far off they may be. */
  interface Props {
    typed: TypedLook;
    ontype: (change: Partial<TypedLook>) => void;
  }
  let { typed, ontype }: Props = $props();
  const WORDS: Record<TypedLook['how'], string> = {
    caliper: 'by calipers on the head',
    print: 'impression in soft tape',
    mirror: 'in a mirror',
    camera: 'by a camera'
  };
  const bad = $derived(typed.plusMinus.trim() === '' || !parseLength(typed.plusMinus).ok);
</script>

<More
  title="Read {WORDS[typed.how]}{typed.how === 'caliper' ? '' : ` ± ${typed.plusMinus || '?'}`}"
  open={typed.how !== 'caliper'}
>
  <Pick
    label={CHECK.theFiguresWereRead}
    value={typed.how}
    options={HOWS.map((value) => ({ value, text: WORDS[value] }))}
    onchoose={(how) => ontype({ how })}
  />
  {#if typed.how !== 'caliper'}
    <LengthField
      label={CHECK.eitherMayBeOffBy}
      value={typed.plusMinus}
      placeholder="0.010"
      problem={bad
        ? {
            said: typed.plusMinus.trim() === '' ? told('Enter a value') : told(COMMON.noLength),
            instead: null
          }
        : undefined}
      oninput={(plusMinus) => ontype({ plusMinus })}
    />
    <p class="hint">If a limit lies within the uncertainty, measure again.</p>
  {/if}
</More>
