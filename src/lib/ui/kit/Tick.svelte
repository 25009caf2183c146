<script lang="ts">
  /** One thing that is so or not, with a box that a glove hits. */
  interface Props {
    text: string;
    checked: boolean;
  }
  let { text, checked = $bindable() }: Props = $props();
</script>

<label class="tick-line"><input type="checkbox" bind:checked /> {text}</label>

<style>
  input {
    width: 24px;
    height: 24px;
    flex: none;
  }
</style>
