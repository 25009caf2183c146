<script lang="ts">
  import { CHECK } from '$lib/words/pages/inspect';
  import type { ReworkDesk } from '../rework-desk.svelte';
  import More from '../../../ui/kit/More.svelte';
  import TextField from '../../../ui/kit/TextField.svelte';
  import Tick from '../../../ui/kit/Tick.svelte';

  /** A question to those who own the data; nothing can be signed while one is open. */
  interface Props {
    rework: ReworkDesk;
    hole: number;
    /** what was measured there: the question begins with it */
    begins: string;
    /** there is another way: it is not opened by itself */
    optional?: boolean;
    /** the person here may decide that it is asked about instead of being replaced */
    mayAskInstead?: boolean;
  }
  let { rework, hole, begins, optional = false, mayAskInstead = false }: Props = $props();
  let instead = $state(false);
  const typed = $derived(rework.fieldsOf(hole));
  /** once it is typed in, what stands there is what was typed: emptied, it stays empty */
  let begun = $state(false);
  const question = $derived(typed.of('question') || (begun ? '' : begins));
</script>

<More testid="refer-{hole}" title="Refer hole {hole} to engineering" open={!optional}>
  <form
    data-testid="refer"
    onsubmit={(event) => {
      event.preventDefault();
      if (
        question.trim() !== '' &&
        // figures alone ask nothing
        question.trim() !== begins.trim() &&
        rework.add({
          kind: 'referred',
          hole,
          question: question.trim(),
          ...(mayAskInstead && instead ? { instead: true } : {})
        })
      )
        typed.clear('question');
    }}
  >
    <TextField
      name="question"
      label={CHECK.theQuestionWithWhatWas}
      bind:value={
        () => question,
        (text) => {
          begun = true;
          typed.type('question', text);
        }
      }
      maxlength={600}
      hint="measurements and the hole drawing go with the record"
    />
    {#if mayAskInstead}
      <Tick
        text="Lead decision: refer to engineering; do not replace until answered"
        bind:checked={instead}
      />
    {/if}
    <button class="act main" disabled={question.trim() === '' || question.trim() === begins.trim()}
      >{CHECK.putTheQuestion}</button
    >
  </form>
</More>

<style>
  form {
    display: flex;
    flex-direction: column;
    gap: 8px;
    align-items: flex-start;
  }
  form :global(label) {
    width: 100%;
  }
</style>
