<script lang="ts" generics="T extends string">
  import { SegmentedControl } from '@skeletonlabs/skeleton-svelte';

  /** One of a few, all in sight. */
  interface Props {
    label: string;
    /** empty: none is chosen yet */
    value: T | '';
    options: readonly { value: T; text: string; title?: string }[];
    onchoose: (value: T) => void;
    quiet?: boolean;
    /** each option has it, followed by its value */
    testid?: string | undefined;
  }
  let { label, value, options, onchoose, quiet = false, testid }: Props = $props();
  const choose = (chosen: string | null) => {
    const option = options.find((candidate) => candidate.value === chosen);
    if (option && option.value !== value) onchoose(option.value);
  };
</script>

<SegmentedControl {value} onValueChange={(details) => choose(details.value)}>
  <SegmentedControl.Label class={quiet ? 'sr-only' : 'label'}>{label}</SegmentedControl.Label>
  <SegmentedControl.Control>
    {#each options as option (option.value)}
      <SegmentedControl.Item
        value={option.value}
        data-hint={option.title}
        data-testid={testid && `${testid}-${option.value}`}
      >
        <SegmentedControl.ItemText>{option.text}</SegmentedControl.ItemText>
        <SegmentedControl.ItemHiddenInput />
      </SegmentedControl.Item>
    {/each}
  </SegmentedControl.Control>
</SegmentedControl>
