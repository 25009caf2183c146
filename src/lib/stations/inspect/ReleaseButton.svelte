<script lang="ts">
  import { CHECK } from '$lib/words/pages/inspect';
  import { invalidateAll } from '$app/navigation';
  import { releaseJointAt } from '$lib/api/joints.ts';
  import { call } from '$lib/client/call';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import { may } from '$core/people/rights.ts';
  import { boundRuleInWords } from '$lib/words/bound-rules';
  import { blockInWords, PLANNED_AT } from '$lib/words/warnings';
  import Notice from '../../ui/kit/Notice.svelte';
  import { useReleaseDesk } from './release-desk';

  /** Releases the joint as it is saved; where something stops it, says what and where it is mended. */
  interface Props {
    text: string;
    /** the station that one comes back to after saying who is at the bench */
    station: 'drive' | 'inspect';
  }
  let { text, station }: Props = $props();
  const workspace = useWorkspace();
  const open = useReleaseDesk();
  const preferences = usePreferences();
  let refusal = $state('');
  let issuing = $state(false);
  /** what stops the joint as it is now: it cannot be released */
  const block = $derived(workspace.blocks[0]);
  /** a rule looser than the shop’s, which a lead alone lets take effect */
  const needsLead = $derived(
    open.bound.some(({ loosens }) => loosens) && !(open.role !== null && may(open.role, 'rules'))
  );

  async function release(): Promise<void> {
    issuing = true;
    refusal = '';
    await workspace.save.flush();
    if (workspace.save.state.kind !== 'saved') {
      // The server would freeze what it has, which is not what this page shows.
      refusal = CHECK.whatIsTypedHereIs;
      issuing = false;
      return;
    }
    const reply = await call(
      releaseJointAt,
      { joint: workspace.id },
      { revision: workspace.save.revision }
    );
    if (!reply.reached) refusal = CHECK.theServerCouldNotBe;
    else if (!reply.ok) refusal = reply.message;
    else await invalidateAll();
    issuing = false;
  }
</script>

{#if open.bound.length > 0}
  <Notice
    testid="bound-rules"
    level={needsLead ? 'stop' : 'attention'}
    title={needsLead ? CHECK.aLeadReleasesThis : CHECK.notByTheShopsRules}
  >
    <ul class="bound">
      {#each open.bound as rule (rule.rule)}
        <li>
          {boundRuleInWords(rule, preferences.lengths)}{rule.loosens
            ? ': looser than the shop’s'
            : ''}
        </li>
      {/each}
    </ul>
    <p>
      {needsLead
        ? 'Only a lead can release rules that let more people inspect or sign, or that skip heads. Otherwise use the shop rules.'
        : 'They apply to this release. The signer must acknowledge each one.'}
    </p>
  </Notice>
{/if}
{#if open.person !== ''}
  <button
    data-testid="release"
    class="act main"
    type="button"
    disabled={issuing || block !== undefined || needsLead}
    aria-describedby={block ? 'no-release' : undefined}
    onclick={() => void release()}>{text}</button
  >
  {#if block}
    <p id="no-release" data-testid="no-release" class="hint">
      ✕ Blocked at {PLANNED_AT[block.station]}: {blockInWords(block, preferences.inWords).title}.
      <a data-testid="release-fix-in" href="/joints/{workspace.id}/{block.station}"
        >Fix in {PLANNED_AT[block.station]}</a
      >
    </p>
  {/if}
{:else}
  <a class="act main" href="/who?back=/joints/{workspace.id}/{station}">Sign in to release</a>
{/if}
{#if refusal}<Notice level="stop" title={CHECK.notReleased} text={refusal} />{/if}

<style>
  .bound {
    display: grid;
    gap: 4px;
    padding-left: 1.1em;
    list-style: disc;
  }
</style>
