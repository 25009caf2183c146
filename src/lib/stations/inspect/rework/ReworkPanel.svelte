<script lang="ts">
  import { CONNECTION } from '$lib/words/connection.ts';
  import { COMMON } from '$lib/words/pages/common';
  import { useDriveDesk } from '../../drive/open-drive';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { InspectDesk } from '../inspect-desk.svelte';
  import { may } from '$core/people/rights.ts';
  import { isAnotherRivet } from '$core/releases/since-release.ts';
  import { useReleaseDesk } from '../release-desk';
  import { useReworkDesk } from '../rework-desk.svelte';
  import { questionBegins } from '$lib/words/rework';
  import Notice from '../../../ui/kit/Notice.svelte';
  import OutboxNotice from '$lib/ui/OutboxNotice.svelte';
  import More from '../../../ui/kit/More.svelte';
  import EmptyHole from './EmptyHole.svelte';
  import HoleReadings from './HoleReadings.svelte';
  import ReadyHole from './ReadyHole.svelte';
  import ReferralCard from './ReferralCard.svelte';
  import ReferForm from './ReferForm.svelte';
  import TakeOut from './TakeOut.svelte';

  /** What is done about a head that cannot stay: it is taken out, its hole measured, a size chosen, or the question put. */
  interface Props {
    desk: InspectDesk;
    hole: number;
    person: string;
  }
  let { desk, hole, person }: Props = $props();
  const open = useReworkDesk();
  const drive = useDriveDesk();
  const released = useReleaseDesk();
  const preferences = usePreferences();
  const rework = $derived(open.desk);
  const now = $derived(rework?.state.holes.get(hole));
  const verdict = $derived(desk.verdictOf(hole));
  const questions = $derived(
    [...(rework?.state.referrals.values() ?? [])].filter((referral) => referral.hole === hole)
  );
  const driven = $derived(drive.desk?.stateOf(hole)?.driven ?? false);
  /** a rivet of the release before is in the hole, and another is planned */
  const oldRivet = $derived(
    !now &&
      !driven &&
      verdict === null &&
      (released.since?.again.some(
        (one) => one.hole === hole && one.inIt && isAnotherRivet(one.why)
      ) ??
        false)
  );
  const begins = $derived(
    questionBegins(
      hole,
      now?.readings ?? [],
      desk.states.get(hole)?.valid ?? [],
      preferences.inWords
    )
  );
  const asked = $derived(questions.some(({ answered }) => answered === null));
</script>

{#if rework && person}
  {#each questions as referral (referral.id)}
    <ReferralCard {rework} {referral} {hole} dash={desk.dashOf(hole)} />
  {/each}
  {#if now?.stage === 'out' || now?.stage === 'ask'}
    <EmptyHole {rework} {hole} dash={desk.dashOf(hole)} head={desk.release.facts.head} />
    {#if now.readings.length > 0}<HoleReadings {rework} {hole} readings={now.readings} />{/if}
    {#if now.stage === 'ask' && !asked}<ReferForm {rework} {hole} {begins} />{/if}
  {:else if now?.stage === 'ready' && now.rivet && !driven && verdict === null}
    <ReadyHole {rework} {now} />
    {#if now.decision?.decision === 'keep'}
      <HoleReadings {rework} {hole} readings={now.readings} />
      <More title="Measure hole {hole} again">
        <EmptyHole {rework} {hole} dash={desk.dashOf(hole)} head={desk.release.facts.head} />
      </More>
    {/if}
  {:else if desk.left.has(hole)}
    <Notice
      level="note"
      title="Left as is per engineering"
      text="See the disposition above. It is part of the record."
    />
  {:else if oldRivet}
    <TakeOut {rework} {hole} dash={desk.dashOf(hole)} facts={desk.release.facts} />
  {:else if verdict === 'replace' || verdict === 'refer'}
    {#if verdict === 'replace'}<TakeOut
        {rework}
        {hole}
        dash={desk.dashOf(hole)}
        facts={desk.release.facts}
      />{/if}
    {#if !asked}<ReferForm
        {rework}
        {hole}
        {begins}
        optional={verdict === 'replace'}
        mayAskInstead={verdict === 'replace' &&
          (desk.states.get(hole)?.expired ?? false) &&
          released.role !== null &&
          may(released.role, 'rules')}
      />{/if}
    {#if verdict === 'refer'}<TakeOut
        {rework}
        {hole}
        dash={desk.dashOf(hole)}
        facts={desk.release.facts}
      />{/if}
  {/if}
  {#if rework.refused}<Notice
      level="stop"
      title={COMMON.notLogged}
      text={preferences.refusal(rework.refused)}
    />{/if}
  {#if rework.outbox.clock !== null}<OutboxNotice outbox={rework.outbox} what="the rework" />
  {:else if rework.outbox.away}<Notice
      level="attention"
      title={CONNECTION.notSentOffline}
      text="{rework.outbox.waiting
        .length} kept on this device and sent automatically. The next step waits until then."
    />{/if}
{/if}
