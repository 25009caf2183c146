<script lang="ts">
  import { MM_PER_IN } from '$core/units/factors.ts';
  import { writeDecimal } from '$core/units/format-length.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';

  /** One length in the user's style; the exact decimal on hover. */
  interface Props {
    lengthIn: number;
    /** sheet thickness and the like are always told in decimals */
    decimal?: boolean;
    /** above or below something, as a gauge reads it: its sign is always said */
    signed?: boolean;
  }
  let { lengthIn, decimal = false, signed = false }: Props = $props();
  const preferences = usePreferences();
  const written = $derived(
    signed && preferences.lengths === 'mm'
      ? { figure: writeDecimal(lengthIn * MM_PER_IN, 2, 4), unit: 'mm' }
      : decimal && preferences.lengths.startsWith('1/')
        ? { figure: writeDecimal(lengthIn, 3, 4), unit: 'in' }
        : preferences.write(lengthIn)
  );
</script>

<span class="length" data-hint={preferences.exact(lengthIn)}
  >{signed && lengthIn > 0 ? '+' : ''}{signed
    ? written.figure.replace('-', '−')
    : written.figure}<small>&nbsp;{written.unit}</small></span
>

<style>
  .length {
    white-space: nowrap;
    font-variant-numeric: tabular-nums;
  }
  small {
    font-size: max(var(--small), 0.68em);
    font-weight: 400;
    color: var(--ink-soft);
  }
</style>
