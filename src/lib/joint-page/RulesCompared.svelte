<script lang="ts">
  import { CONNECTION } from '$lib/words/connection.ts';
  import { BENCH } from '$lib/words/pages/bench';
  import { onMount } from 'svelte';
  import { compareRules } from '$core/plan/compare-rules.ts';
  import { listProfilesAt, type ProfileView } from '$lib/api/profiles.ts';
  import { setRulesAt } from '$lib/api/joints.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { call } from '$lib/client/call';
  import { useWorkspace } from '$lib/client/workspace.svelte';
  import Notice from '../ui/kit/Notice.svelte';
  import { ruleChangesInWords } from '$lib/words/rule-changes';
  import { answerNameInWords, answerSaidInWords } from '$lib/words/rule-effects';

  /** Under which rules this joint is planned, and what would differ under any other. */
  interface Props {
    profileId: string;
  }
  let { profileId }: Props = $props();
  const workspace = useWorkspace();
  const preferences = usePreferences();
  let profiles = $state.raw<ProfileView[] | null>(null);
  let refusal = $state('');

  async function load(): Promise<void> {
    const reply = await call(listProfilesAt, undefined, undefined);
    if (reply.reached && reply.ok) profiles = reply.value;
    else refusal = reply.reached ? reply.message : CONNECTION.offline;
  }
  onMount(load);
  const compared = $derived(
    workspace.now && profiles
      ? profiles
          .filter(({ id }) => id !== profileId)
          .map((profile) => ({
            profile,
            changes: ruleChangesInWords(workspace.profile, profile.rules, preferences.lengths),
            effects: compareRules(
              workspace.now?.definition as never,
              workspace.profile,
              profile.rules
            )
          }))
      : []
  );
  async function use(id: string): Promise<void> {
    refusal = '';
    await workspace.save.flush();
    const reply = await call(
      setRulesAt,
      { joint: workspace.id },
      { profileId: id, baseRevision: workspace.save.revision }
    );
    if (!reply.reached) refusal = 'Offline: the rules were not changed.';
    else if (!reply.ok) refusal = reply.message;
    // The whole bench is made anew under the other rules.
    else location.reload();
  }
</script>

<p>
  Rules in use: <strong>{workspace.profile.name}, version {workspace.profile.version}</strong>.
  <a href="/rules">View all practices and limits</a>
</p>
{#if refusal}<Notice level="stop" title="Not changed" text={refusal} />{/if}
{#each compared as { profile, changes, effects } (profile.id)}
  <article data-testid="other-rules">
    <h3>{profile.rules.name}, version {profile.rules.version}</h3>
    {#if profile.note}<p class="hint">{profile.note}</p>{/if}
    {#if changes.length > 0}<p>Differences: {changes.join(' · ')}.</p>{/if}
    {#if effects.length === 0}
      <p>No effect on this joint.</p>
    {:else}
      <table>
        <thead><tr><th>Item</th><th>Current rules</th><th>Other rules</th></tr></thead>
        <tbody>
          {#each effects as { name, here, there }, index (index)}
            <tr>
              <td>{answerNameInWords(name, preferences.lengths)}</td>
              <td>{answerSaidInWords(here, preferences.lengths)}</td>
              <td>{answerSaidInWords(there, preferences.lengths)}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    {/if}
    <button class="act" type="button" onclick={() => void use(profile.id)}
      >{BENCH.planItUnderTheseRules}</button
    >
  </article>
{:else}
  <p class="hint">
    {profiles === null
      ? 'Looking…'
      : !workspace.now
        ? 'Comparison needs complete input.'
        : 'There are no other rules yet. A changed version can be made on the Rules page.'}
  </p>
{/each}

<style>
  a {
    display: inline-block;
    padding: 10px 4px;
    text-decoration: underline;
  }
  article {
    display: grid;
    gap: 6px;
    padding: 10px 12px;
    border: 1.5px solid var(--line);
    border-radius: 8px;
  }
  h3 {
    font-size: 1.05rem;
  }
  table {
    width: 100%;
    border-collapse: collapse;
    font-variant-numeric: tabular-nums;
  }
  th,
  td {
    padding: 4px 8px 4px 0;
    text-align: left;
    vertical-align: top;
    border-bottom: 1px solid var(--line);
  }
  th {
    font-weight: 400;
    color: var(--ink-soft);
  }
  .act {
    justify-self: start;
  }
</style>
