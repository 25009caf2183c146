<script lang="ts">
  import Asked from './Asked.svelte';
  import { CHECK } from '$lib/words/pages/inspect';

  /** A reading that holds more metal than the rivet had: typed or read wrongly, or of another head. */
  interface Props {
    /** of the predicted head */
    share: number;
    onasread: () => void;
  }
  let { share, onasread }: Props = $props();
</script>

<Asked label="More metal than there is" testid="metal-asked">
  <p>
    <strong
      >{Math.round(share * 100)} % of the metal that this rivet has for its head. Is this reading correct?</strong
    >
  </p>
  <button class="act" type="button" onclick={onasread}>{CHECK.itIsWhatIRead}</button>
  <p class="hint">If not, type it again. If recorded, the signer is warned.</p>
</Asked>
