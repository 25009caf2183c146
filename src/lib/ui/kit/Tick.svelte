<script lang="ts">
  /** One thing that is so or not, with a box that a glove hits. */
  interface Props {
    text: string;
    checked: boolean;
  }
  let { text, checked = $bindable() }: Props = $props();
</script>

<label><input type="checkbox" bind:checked /> {text}</label>

<style>
  label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 44px;
  }
  input {
    width: 24px;
    height: 24px;
    flex: none;
  }
</style>
