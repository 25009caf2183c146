<script lang="ts">
  import { LOG_OF, PEOPLE } from '$lib/words/pages/people';
  import Notice from '../kit/Notice.svelte';
  import Field from './Field.svelte';
  import TypedForm from './TypedForm.svelte';

  /** A log into which nothing new gets, because its last entry is dated in what is still to come: a lead sets it right. */
  interface Props {
    ahead: { log: string; subject: string; of: string; aheadMs: number; by: string };
    refused: string;
  }
  let { ahead, refused }: Props = $props();
  const MINUTE_MS = 60_000;
  const minutes = $derived(Math.round(ahead.aheadMs / MINUTE_MS));
  const far = $derived(
    minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`
  );
</script>

<Notice
  testid="log-ahead"
  level="attention"
  title="{ahead.of} ({LOG_OF[ahead.log]}): {far} ahead of the clock"
>
  <p>
    Its last entry, by {ahead.by}, is dated {far} from now. New entries are rejected until then. After
    correction, entries dated in the future count {far} earlier. The original times stay on record, with
    your reason.
  </p>
  <TypedForm action="?/setRight" {refused}>
    <input type="hidden" name="log" value={ahead.log} />
    <input type="hidden" name="subject" value={ahead.subject} />
    <Field name="why" label={PEOPLE.whatWasWrongWithTheClock} maxlength={200} required />
    <button class="act">{PEOPLE.setItRight}</button>
  </TypedForm>
</Notice>
