<script lang="ts">
  import { WAITING } from '$lib/words/pages/waiting';
  import type { Clocked } from '$lib/client/outbox.svelte';
  import Notice from './kit/Notice.svelte';

  /** What keeps moves from being stored, with what can be done about it. */
  interface Props {
    outbox: Clocked;
    /** what waits, as one says it: the ticks, the trials, the readings */
    what: string;
  }
  let { outbox, what }: Props = $props();
</script>

{#if outbox.clock !== null}
  <Notice
    level="attention"
    title="Is this device’s clock right?"
    text="{outbox.clock.message}. Choose the correct time; until then {what} are not sent."
  />
  <div class="wraps-wide">
    <button class="act main" type="button" onclick={() => outbox.settleClock('server')}
      >{WAITING.theServersTime}</button
    >
    <button class="act" type="button" onclick={() => outbox.settleClock('device')}
      >{WAITING.thisDevicesTimeIsRight}</button
    >
  </div>
{:else if outbox.away || outbox.refusal !== ''}
  <Notice
    level="attention"
    testid={outbox.away ? 'kept-here' : 'not-taken'}
    title={WAITING.notStoredYet}
    text={outbox.away
      ? `Offline: ${what} are kept on this device and sent automatically.`
      : outbox.refusal}
  />
{/if}
