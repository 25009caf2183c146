<script lang="ts" generics="T extends string">
  /** One of several, told in a sentence each. */
  interface Props {
    label: string;
    value: T;
    options: readonly { value: T; text: string }[];
    onchoose: (value: T) => void;
  }
  let { label, value, options, onchoose }: Props = $props();
  const id = $props.id();
  function choose(chosen: string): void {
    const option = options.find((candidate) => candidate.value === chosen);
    if (option) onchoose(option.value);
  }
</script>

<div class="pick">
  <label class="label" for={id}>{label}</label>
  <select {id} class="field-box" {value} onchange={(event) => choose(event.currentTarget.value)}>
    {#each options as option (option.value)}
      <option value={option.value}>{option.text}</option>
    {/each}
  </select>
</div>

<style>
  .pick {
    display: flex;
    flex-direction: column;
    gap: 2px;
    min-width: 0;
  }
  select {
    font-size: 0.95rem;
    text-overflow: ellipsis;
  }
</style>
