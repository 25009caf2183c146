<script lang="ts" generics="T extends string">
  import { ToggleGroup } from '@skeletonlabs/skeleton-svelte';

  /** Any of several, or one of them where `single`; each may say on hover or long press what it means. */
  interface Props {
    label: string;
    value: readonly T[];
    options: readonly { value: T; text: string; more?: string; hint?: string }[];
    onchange: (value: T[]) => void;
    single?: boolean;
  }
  let { label, value, options, onchange, single = false }: Props = $props();
  const known = (chosen: readonly string[]): T[] =>
    options.flatMap((option) => (chosen.includes(option.value) ? [option.value] : []));
</script>

<ToggleGroup
  value={[...value]}
  multiple={!single}
  deselectable={!single}
  aria-label={label}
  onValueChange={(details) => onchange(known(details.value))}
>
  {#each options as option (option.value)}
    <ToggleGroup.Item value={option.value} data-hint={option.hint}>
      {option.text}{#if option.more}<small>{option.more}</small>{/if}
    </ToggleGroup.Item>
  {/each}
</ToggleGroup>

<style>
  small {
    display: block;
    margin-left: 0.5rem;
    font-weight: 400;
  }
</style>
