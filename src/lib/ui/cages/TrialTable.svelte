<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { explaining, FALSE_READINGS, type FalseReading } from '$core/ready/cage/doubts.ts';
  import type { CageGuide } from '$core/ready/cage/guide.ts';
  import type { CageDesk } from '$lib/ui/cages/cage-desk.svelte';
  import Length from '../kit/Length.svelte';
  import TextField from '../kit/TextField.svelte';
  import { doubtInWords, FALSE_READING_WORDS } from '$lib/words/cages';

  /** Every trial hole with a way to strike a false one, and what makes readings false. */
  interface Props {
    desk: CageDesk;
    guide: CageGuide;
  }
  let { desk, guide }: Props = $props();
  const preferences = usePreferences();
  const FROM = { typed: 'typed', gauge: 'gauge', simulated: 'simulated' };
  const doubted = $derived(new Set(guide.doubts.flatMap(({ readings }) => readings)));
  const likely = $derived(explaining(guide.doubts));
  const causes = $derived([
    ...likely,
    ...(Object.keys(FALSE_READINGS) as FalseReading[]).filter((key) => !likely.includes(key))
  ]);
  let striking = $state<string | null>(null);
  let why = $state('');
  function strike(event: SubmitEvent): void {
    event.preventDefault();
    if (striking === null || why.trim() === '') return;
    if (!desk.add({ kind: 'struck', reading: striking, why: why.trim() })) return;
    striking = null;
    why = '';
  }
</script>

{#if guide.doubts.length > 0}
  <section class="doubts" aria-labelledby="doubts" data-testid="doubts">
    <h2 id="doubts" class="label">△ The readings do not fit</h2>
    {#each guide.doubts as doubt (doubt.kind + doubt.readings.join())}<p>
        {doubtInWords(doubt, preferences.inWords)}
      </p>{/each}
    <ul>
      {#each causes as key (key)}
        <li class:likely={likely.includes(key)}>
          <strong>{FALSE_READING_WORDS[key].cause}.</strong>
          {FALSE_READING_WORDS[key].look}
        </li>
      {/each}
    </ul>
  </section>
{/if}
<section aria-labelledby="holes">
  <h2 id="holes" class="label">Trial holes</h2>
  {#if desk.state.readings.length === 0}
    <p class="hint">None yet.</p>
  {:else}
    <table class="figures" data-testid="trials">
      <thead
        ><tr><th>Hole</th><th>Clicks</th><th>Read</th><th class="words">By</th><th></th></tr></thead
      >
      <tbody>
        {#each desk.state.readings as reading, index (reading.id)}
          <tr class:struck={reading.struck !== null}>
            <th scope="row">{index + 1}{doubted.has(reading.id) ? ' △' : ''}</th>
            <td>{reading.clicks}</td>
            <td><Length lengthIn={reading.flushnessIn} decimal signed /></td>
            <td class="words"
              >{reading.by.split(' ')[0]}, {FROM[reading.from]}{reading.cameUp
                ? ', came up'
                : ''}{reading.struck === null ? '' : `; struck: ${reading.struck}`}</td
            >
            <td
              >{#if reading.struck === null && !desk.state.found}<button
                  class="act small"
                  type="button"
                  aria-label="Strike hole {index + 1}"
                  onclick={() => (striking = reading.id)}>Strike</button
                >{/if}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
    {#if striking !== null}
      <form onsubmit={strike}>
        <TextField name="why" label="Why is it false?" maxlength={120} bind:value={why} />
        <div class="acts">
          <button class="act main" disabled={why.trim() === ''}>Strike it</button>
          <button class="act" type="button" onclick={() => (striking = null)}>Leave it</button>
        </div>
      </form>
    {/if}
  {/if}
</section>

<style>
  .doubts {
    padding: 8px 12px;
    border-left: 5px solid var(--amber-line);
    border-radius: 8px;
    background: var(--amber-soft);
  }
  ul {
    padding-left: 1.2em;
    list-style: disc;
  }
  li {
    color: var(--ink-soft);
  }
  .likely {
    color: var(--ink);
  }
  .struck {
    color: var(--ink-soft);
    text-decoration: line-through;
  }
  td:last-child {
    padding: 2px 0;
  }
  .acts {
    display: flex;
    gap: 8px;
  }
</style>
