<script lang="ts">
  import Choice from './Choice.svelte';

  /** A question that nobody answers by leaving it: neither is chosen until one is. */
  interface Props {
    label: string;
    yes: string;
    no: string;
    value: boolean | null;
    testid?: string | undefined;
  }
  let { label, yes, no, value = $bindable(), testid }: Props = $props();
</script>

<Choice
  {label}
  {testid}
  value={value === null ? '' : value ? 'yes' : 'no'}
  options={[
    { value: 'yes', text: yes },
    { value: 'no', text: no }
  ]}
  onchoose={(chosen) => (value = chosen === 'yes')}
/>
