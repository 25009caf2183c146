<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { trialInWords } from '$lib/words/tool-settings';
  import TrialList from '../kit/TrialList.svelte';
  import type { ToolDesk } from './tool-desk.svelte';

  /** Every trial of a tool’s setting. */
  interface Props {
    desk: ToolDesk;
  }
  let { desk }: Props = $props();
  const preferences = usePreferences();
  const HEADS = [{ text: 'At' }, { text: 'Came out', words: true }, { text: 'By', words: true }];
</script>

<TrialList
  title="Trials"
  one="Trial"
  trials={desk.state.trials}
  heads={HEADS}
  open={!desk.state.found}
  onstrike={(trial, why) => desk.add({ kind: 'struck', trial, why })}
>
  {#snippet cells(trial)}
    {@const { by, struck } = trial}
    {@const said = trialInWords(trial, preferences.inWords)}
    <td>{said.at}</td>
    <td class="words">{said.came}</td>
    <td class="words">{by.split(' ')[0]}{struck === null ? '' : `; voided: ${struck}`}</td>
  {/snippet}
</TrialList>
