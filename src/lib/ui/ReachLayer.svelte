<script lang="ts">
  import { WAITING } from '$lib/words/pages/waiting';
  import { onMount, untrack } from 'svelte';
  import { reach } from '$lib/client/reach.svelte';

  interface Props {
    /** when the server made this page */
    madeAt: string;
  }
  let { madeAt }: Props = $props();
  const clock = (at: number | string) =>
    new Date(at).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });

  /** Takes up a version of the application that is there; null while there is none. */
  let takeUp = $state.raw<(() => void) | null>(null);
  onMount(() => {
    // no browser is asked to keep anything before it has the page itself
    if ('serviceWorker' in navigator) void import('workbox-window').then(putIn);
    return reach.begin(untrack(() => madeAt));
  });

  function putIn({ Workbox }: typeof import('workbox-window')): void {
    const worker = new Workbox('/service-worker.js');
    worker.addEventListener('waiting', () => {
      takeUp = () => {
        worker.addEventListener('controlling', () => location.reload());
        worker.messageSkipWaiting();
      };
    });
    void worker.register();
  }

  const since = $derived(reach.awaySince === null ? '' : clock(reach.awaySince));
  const waits = $derived(
    reach.waiting === 0
      ? ''
      : `${reach.waiting} ${reach.waiting === 1 ? 'entry waits' : 'entries wait'} in this browser`
  );
  const said = $derived(
    reach.awaySince !== null ||
      waits !== '' ||
      reach.aside > 0 ||
      reach.wasAway ||
      reach.keptAt !== null ||
      takeUp !== null
  );
</script>

<!-- there while it is empty: what comes into it is read out -->
<div class:said role="status">
  {#if reach.awaySince !== null}
    <p>
      <strong>{WAITING.noServerSince} {since}.</strong> You see the last loaded page. Entries are
      kept in this browser and sent automatically{waits ? `: ${waits}` : ''}.
    </p>
  {:else if waits}
    <p><strong>Unsent entries:</strong> {waits}. <a href="/waiting">View</a></p>
  {:else if reach.wasAway || reach.keptAt !== null}
    <p>
      {reach.wasAway ? 'Back online.' : `This page was saved here at ${clock(reach.keptAt ?? '')}.`}
      It may be out of date.
    </p>
    <button class="act" type="button" onclick={() => location.reload()}>{WAITING.loadItAnew}</button
    >
  {/if}
  {#if reach.aside > 0}
    <p>
      <strong>Not sent:</strong>
      {reach.aside === 1 ? '1 entry' : `${reach.aside} entries`}
      {WAITING.loggedOnThisDeviceCould}
      <a href="/waiting">Review {reach.aside === 1 ? 'it' : 'them'}</a>
    </p>
  {/if}
  {#if takeUp}
    <p>A new version is available. Update to keep pages available offline.</p>
    <button class="act" type="button" onclick={takeUp}>Update and reload</button>
  {/if}
</div>

<style>
  .said {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 14px;
    padding: 6px 16px;
    border-bottom: 3px solid var(--amber-line);
    background: var(--amber-soft);
    color: var(--ink);
    font-size: 0.95rem;
  }
  a {
    text-decoration: underline;
  }
</style>
