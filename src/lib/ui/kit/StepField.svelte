<script lang="ts">
  /** A whole number that one also turns by one, as the ring of a tool. */
  interface Props {
    label: string;
    value: string;
    oninput: (text: string) => void;
    /** what one step is called */
    one: string;
    problem?: string;
    hint?: string;
    /** id of what is said of it elsewhere */
    described?: string | undefined;
    testid?: string | undefined;
  }
  let { label, value, oninput, one, problem = '', hint = '', described, testid }: Props = $props();
  const id = $props.id();
  function turn(by: number): void {
    const now = Number(value.trim() || NaN);
    if (Number.isInteger(now)) oninput(String(now + by));
  }
</script>

<div>
  <label class="label" for={id}>{label}</label>
  <div class="steps">
    <button class="act small" type="button" aria-label="One {one} less" onclick={() => turn(-1)}
      >−</button
    >
    <input
      {id}
      data-testid={testid}
      class="field-box"
      inputmode="numeric"
      autocomplete="off"
      maxlength="6"
      {value}
      aria-invalid={problem !== ''}
      aria-describedby={described ?? `${id}-said`}
      oninput={(event) => oninput(event.currentTarget.value)}
    />
    <button class="act small" type="button" aria-label="One {one} more" onclick={() => turn(1)}
      >+</button
    >
  </div>
  {#if problem !== '' || hint !== ''}
    <p id="{id}-said" class="hint" class:wrong={problem !== ''} aria-live="polite">
      {problem === '' ? hint : problem}
    </p>
  {/if}
</div>

<style>
  .steps {
    display: grid;
    grid-template-columns: 44px minmax(0, 1fr) 44px;
    gap: 4px;
  }
  .steps .act {
    font-size: 1.3rem;
  }
  input {
    text-align: center;
    font-weight: 700;
    font-size: 1.25rem;
  }
</style>
