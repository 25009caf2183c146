<script lang="ts">
  import type { RefusalSaid } from '$core/refusal-said.ts';
  import type { ProfileView } from '$lib/api/profiles.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Notice from '$lib/ui/kit/Notice.svelte';
  import { RULES } from '$lib/words/pages/rules';

  /** What changes in the rules, and its save as the next version. */
  interface Props {
    said: string;
    refusal: string;
    version: number;
    /** the version that changes start from, where an older one is shown; else null */
    latest: ProfileView | null;
    problems: readonly { said: RefusalSaid }[];
    differ: readonly string[];
    /** what was changed can be saved, with a note */
    ready: boolean;
    signedIn: boolean;
    note: string;
    name: string;
    onlatest: (id: string) => void;
    onsave: () => void;
  }
  let {
    said,
    refusal,
    version,
    latest,
    problems,
    differ,
    ready,
    signedIn,
    note = $bindable(),
    name = $bindable(),
    onlatest,
    onsave
  }: Props = $props();
  const preferences = usePreferences();
</script>

<footer>
  {#if said}<p role="status" class="said" data-testid="saved">✓ {said}</p>{/if}
  {#if refusal}<Notice level="stop" title="Not saved" text={refusal} />{/if}
  {#if latest !== null}
    <p class="hint">
      Older version. A change starts from version {latest.rules.version}.
      <button class="link" type="button" onclick={() => onlatest(latest.id)}>Go there</button>
    </p>
  {:else if differ.length === 0 && problems.length === 0}
    <p class="hint" data-testid="unchanged" data-next={version + 1}>
      Change a setting to create version {version + 1}.
    </p>
  {:else}
    <p>
      {#each problems as problem (problem)}<span class="warns"
          >△ {preferences.refusal(problem.said)}.
        </span>{/each}
      {differ.join(' · ')}
      {#if ready && note.trim() === ''}<span class="hint">{RULES.sayWhatChangedAndWhy}</span>{/if}
    </p>
    <form
      onsubmit={(event) => {
        event.preventDefault();
        onsave();
      }}
    >
      <input
        class="field-box"
        aria-label={RULES.whatChangedAndWhy}
        placeholder="what changed and why"
        maxlength="200"
        bind:value={note}
      />
      <input
        class="field-box"
        aria-label="New profile name (optional)"
        placeholder="or enter a new profile name"
        maxlength="60"
        bind:value={name}
      />
      {#if signedIn}
        <button data-testid="save-version" class="act main" disabled={!ready || note.trim() === ''}
          >Save as {name.trim() === '' ? `version ${version + 1}` : 'a new profile'}</button
        >
      {:else}
        <a class="act main" href="/who?back=/rules">Sign in to save</a>
      {/if}
    </form>
  {/if}
</footer>

<style>
  footer {
    grid-column: 1 / -1;
    display: grid;
    gap: 6px;
    padding: 10px var(--page-edge);
    background: var(--panel);
    border-top: 1.5px solid var(--line);
  }
  footer form {
    display: grid;
    grid-template-columns: minmax(0, 2fr) minmax(0, 1fr) auto;
    gap: 10px;
  }
  .said {
    color: var(--olive-deep);
    font-weight: 700;
  }
  .link {
    min-height: 44px;
    padding: 0 8px;
    text-decoration: underline;
    cursor: pointer;
  }
  @media (max-width: 900px) {
    footer form {
      grid-template-columns: 1fr;
    }
  }
</style>
