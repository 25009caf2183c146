<script lang="ts">
  import { WAITING } from '$lib/words/pages/waiting';
  import { onMount } from 'svelte';
  import { giveJson } from '$lib/client/give-file';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { reach } from '$lib/client/reach.svelte';
  import { dropMoves, keptEntries, type KeptEntry } from '$lib/client/store';
  import { keptMoveInWords } from '$lib/words/waiting-moves';
  import { sentence } from '$lib/words/writing';
  import type { PageData } from './$types';

  /** What was logged on this device and is not stored: what waits, and what the server will never take. */
  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const preferences = usePreferences();
  let entries = $state.raw<KeptEntry[]>([]);
  let asked = $state('');
  const read = async () => (entries = await keptEntries());
  onMount(() => void read());
  $effect(() => {
    // sent meanwhile, or set aside
    void [reach.waiting, reach.aside];
    void read();
  });

  const stampOf = (move: unknown) => move as { at?: string; person?: string };
  const when = (at: string | undefined) =>
    at === undefined
      ? ''
      : new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
  const nameOf = ({ move }: KeptEntry) => data.names[stampOf(move).person ?? ''] ?? 'somebody';
  const logOf = ({ box }: KeptEntry) => box.split('/')[0] ?? '';

  const takeOut = (): void =>
    giveJson('zanjador-not-stored.json', JSON.stringify(entries, null, 2));
  async function letGo(id: string): Promise<void> {
    await dropMoves([id]);
    asked = '';
    await reach.count();
    await read();
  }
</script>

<svelte:head><title>Unsent entries · Zanjador</title></svelte:head>

<div class="page waiting">
  <h1>Unsent entries</h1>
  {#if entries.length === 0}
    <p>{WAITING.nothingAllThatWasLogged}</p>
  {:else}
    <p>
      Waiting entries are sent automatically. Rejected entries stay here until you discard them; log
      them again first if needed. Hole numbers are those of the release shown. Clearing browser data
      deletes all entries.
    </p>
    <p><button class="act" type="button" onclick={takeOut}>{WAITING.takeAllOfItOut}</button></p>
    <ul aria-label={WAITING.entriesThatAreNotStored}>
      {#each entries as entry (entry.id)}
        <li data-entry={entry.id}>
          <div>
            <p>
              <strong
                >{sentence(keptMoveInWords(logOf(entry), entry.move, preferences.inWords))}</strong
              >
            </p>
            <p class="hint">
              {nameOf(entry)}, {when(stampOf(entry.move).at)}
              {#if entry.page}
                ·
                <a href={entry.page.path}>{entry.page.title.replace(/ · Zanjador$/, '')}</a>
              {/if}
            </p>
            <p>
              {entry.refused === undefined
                ? '◔ Waiting for the server, or for this user to sign in'
                : `✕ Rejected: ${entry.refused}`}
            </p>
          </div>
          {#if entry.refused !== undefined && asked === entry.id}
            <button class="act" type="button" onclick={() => void letGo(entry.id)}
              >{WAITING.yesItIsGoneThen}</button
            >
          {:else if entry.refused !== undefined}
            <button class="act" type="button" onclick={() => (asked = entry.id)}
              >{WAITING.letGoOfIt}</button
            >
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
</div>

<style>
  .waiting {
    display: flex;
    flex-direction: column;
    gap: 14px;
    max-width: 860px;
  }
  li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    gap: 8px 20px;
    padding: 10px 0;
    border-top: 1px solid var(--line);
  }
  li > div {
    flex: 1 1 20rem;
  }
  a {
    text-decoration: underline;
  }
</style>
