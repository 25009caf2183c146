<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import type { FlushLimits } from '$core/inspect/flush-look.ts';
  import { parseLength } from '$core/units/parse-length.ts';
  import { told } from '$core/refusal-said.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { TypedLook } from './typed-look.ts';
  import Choice from '../../ui/kit/Choice.svelte';
  import LengthField from '../../ui/kit/LengthField.svelte';
  import More from '../../ui/kit/More.svelte';

  /** How flush a countersunk head stands after driving: by number, or by a straightedge over slips of paper. */
  interface Props {
    typed: TypedLook;
    limits: FlushLimits;
    ontype: (change: Partial<TypedLook>) => void;
  }
  let { typed, limits, ontype }: Props = $props();
  const preferences = usePreferences();
  const bad = (text: string) => text.trim() !== '' && !parseLength(text.replace('−', '-')).ok;
  const SLIPS = [
    { value: 'none' as const, text: 'not checked' },
    { value: 'clears' as const, text: 'clears' },
    { value: 'catches' as const, text: 'catches' }
  ];
</script>

<More
  title="Flushness{typed.flush.trim() !== ''
    ? `: ${typed.flush}`
    : typed.slip === null
      ? ` (${preferences.text(limits.lowIn)} to +${preferences.inWords(limits.highIn)})`
      : `: ${typed.slip} over ${typed.slipThick}`}"
  open={typed.flush !== '' || typed.slip !== null}
>
  <div class="flush">
    <LengthField
      label="Above (+) or below (−) skin"
      value={typed.flush}
      placeholder="+0.001"
      problem={bad(typed.flush) ? { said: told(COMMON.noLength), instead: null } : undefined}
      oninput={(flush) => ontype({ flush })}
    />
    <Choice
      label="Straightedge over feeler strips"
      value={typed.slip ?? 'none'}
      options={SLIPS}
      onchoose={(slip) => ontype({ slip: slip === 'none' ? null : slip })}
    />
    {#if typed.slip !== null}
      <LengthField
        label="Strip thickness"
        value={typed.slipThick}
        problem={bad(typed.slipThick) ? { said: told(COMMON.noLength), instead: null } : undefined}
        oninput={(slipThick) => ontype({ slipThick })}
      />
    {/if}
  </div>
  <p class="hint">
    A strip shows only whether the head is higher than the strip, not how low it is.
  </p>
</More>

<style>
  .flush {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 14px;
    align-items: end;
  }
</style>
