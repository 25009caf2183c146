<script lang="ts" generics="T extends string">
  import type { Snippet } from 'svelte';
  import { Tabs } from '@skeletonlabs/skeleton-svelte';

  /** Several views of the same thing, one shown. What it holds scrolls, and is reached by keys. */
  interface Props {
    label: string;
    value: T;
    options: readonly { value: T; text: string }[];
    onchoose: (value: T) => void;
    children: Snippet;
  }
  let { label, value, options, onchoose, children }: Props = $props();
  const choose = (chosen: string) => {
    const option = options.find((candidate) => candidate.value === chosen);
    if (option && option.value !== value) onchoose(option.value);
  };
</script>

<Tabs {value} onValueChange={(details) => choose(details.value)}>
  <Tabs.List aria-label={label}>
    {#each options as option (option.value)}
      <Tabs.Trigger value={option.value}>{option.text}</Tabs.Trigger>
    {/each}
  </Tabs.List>
  <Tabs.Content {value} class="tab-view">{@render children()}</Tabs.Content>
</Tabs>
