<script lang="ts" generics="T extends string">
  import { SegmentedControl } from '@skeletonlabs/skeleton-svelte';

  /** One of a few, all in sight. */
  interface Props {
    label: string;
    value: T;
    options: readonly { value: T; text: string; title?: string }[];
    onchoose: (value: T) => void;
    quiet?: boolean;
  }
  let { label, value, options, onchoose, quiet = false }: Props = $props();
  const choose = (chosen: string | null) => {
    const option = options.find((candidate) => candidate.value === chosen);
    if (option && option.value !== value) onchoose(option.value);
  };
</script>

<SegmentedControl {value} onValueChange={(details) => choose(details.value)} class="choice">
  <SegmentedControl.Label class={quiet ? 'sr-only' : 'label'}>{label}</SegmentedControl.Label>
  <SegmentedControl.Control class="choice-control">
    {#each options as option (option.value)}
      <SegmentedControl.Item value={option.value} class="choice-item" title={option.title}>
        <SegmentedControl.ItemText>{option.text}</SegmentedControl.ItemText>
        <SegmentedControl.ItemHiddenInput />
      </SegmentedControl.Item>
    {/each}
  </SegmentedControl.Control>
</SegmentedControl>

<style>
  :global(.choice) {
    display: flex;
    flex-direction: column;
    gap: 2px;
    min-width: 0;
  }
  :global(.choice-control) {
    display: flex;
    padding: 0;
    gap: 0;
    border: 1.5px solid var(--line-strong);
    border-radius: 8px;
    overflow: hidden;
    background: var(--panel);
  }
  :global(.choice-item) {
    flex: 1 1 auto;
    display: flex;
    align-items: center;
    justify-content: center;
    min-height: 42px;
    min-width: 42px;
    padding: 0 0.6rem;
    border-radius: 0;
    color: var(--ink);
    white-space: nowrap;
    cursor: pointer;
  }
  :global(.choice-item + .choice-item) {
    border-left: 1px solid var(--line);
  }
  :global(.choice-item[data-state='checked']) {
    background: var(--ink);
    color: var(--paper);
  }
  :global(.choice-item[data-focus-visible]) {
    outline: 3px solid var(--dye);
    outline-offset: -3px;
  }
</style>
