<script lang="ts">
  import { onMount } from 'svelte';
  import { COMMON } from '$lib/words/pages/common';
  import { RECORDS } from '$lib/words/pages/records';
  import type { RivetWish } from '$lib/api/records-wish.ts';
  import { FINDING_OPTIONS, VERDICT_OPTIONS } from '$lib/words/records';

  /** a setting of a tool or a cold batch */
  interface Offer {
    id: string;
    name: string;
    at: string;
  }
  /** What one asks of the records; the address carries it, so that a search can be kept and sent. */
  interface Props {
    wish: RivetWish;
    /** as it stands in the address: what could not be read stays in its field */
    typed: URLSearchParams;
    people: readonly { id: string; name: string }[];
    jobs: readonly { id: string; number: string; title: string }[];
    offers: { settings: readonly Offer[]; batches: readonly Offer[] };
    /** the page that answers */
    action: string;
  }
  let { wish, typed, people, jobs, offers, action }: Props = $props();
  let open = $state(true);
  // on a phone what was found comes first
  onMount(() => {
    if (matchMedia('(max-width: 700px)').matches) open = false;
  });
  const dated = ({ id, name, at }: Offer) => ({
    value: id,
    text: `${name}, ${new Date(at).toLocaleString([], { dateStyle: 'short', timeStyle: 'short' })}`
  });
  /** what the address asks for stands in its list, whether there is such a thing or not */
  const withAsked = (known: readonly Offer[], asked: string | undefined) => [
    ...known.map(dated),
    ...(asked === undefined || known.some(({ id }) => id === asked)
      ? []
      : [{ value: asked, text: 'one that is not on record' }])
  ];
  const DID = [
    { value: '', text: 'any' },
    { value: 'drove', text: 'drove' },
    { value: 'looked', text: 'inspected' }
  ];
</script>

{#snippet line(name: 'joint' | 'part' | 'lot', label: string, hint: string)}
  <label class:broad={name === 'joint'}>
    <span class="label">{label}</span>
    <input
      class="field-box"
      {name}
      value={typed.get(name) ?? ''}
      maxlength="80"
      placeholder={hint}
    />
  </label>
{/snippet}
{#snippet pick(
  name: 'job' | 'person' | 'did' | 'finding' | 'verdict' | 'setting' | 'batch',
  label: string,
  options: readonly { value: string; text: string }[],
  any: string
)}
  <label class:broad={['job', 'setting', 'batch'].includes(name)}>
    <span class="label">{label}</span>
    <select class="field-box" {name} value={wish[name] ?? ''}>
      {#if any !== ''}<option value="">{any}</option>{/if}
      {#each options as { value, text } (value)}<option {value}>{text}</option>{/each}
    </select>
  </label>
{/snippet}

<details bind:open>
  <summary class="act">{RECORDS.filters}</summary>
  <form method="GET" {action} data-sveltekit-keepfocus aria-label="Search the records">
    {@render line('joint', 'Joint', 'part of its name')}
    {@render pick(
      'job',
      'Job',
      jobs.map(({ id, number, title }) => ({ value: id, text: `${number} ${title}` })),
      'any'
    )}
    {@render line('part', COMMON.partNumber, 'how it begins')}
    {@render line('lot', COMMON.lot, 'as on the bag')}
    {@render pick(
      'person',
      'Person',
      people.map(({ id, name }) => ({ value: id, text: name })),
      'anybody'
    )}
    {@render pick('did', 'Action', DID, '')}
    {@render pick('finding', COMMON.found, FINDING_OPTIONS, 'any')}
    {@render pick('verdict', 'Result', VERDICT_OPTIONS, 'any')}
    {@render pick('setting', 'Tool setting', withAsked(offers.settings, wish.setting), 'any')}
    {@render pick('batch', 'Icebox batch', withAsked(offers.batches, wish.batch), 'any')}
    <label
      ><span class="label">From</span><input
        class="field-box"
        type="date"
        name="from"
        value={wish.from ?? ''}
      /></label
    >
    <label
      ><span class="label">to</span><input
        class="field-box"
        type="date"
        name="to"
        value={wish.to ?? ''}
      /></label
    >
    <p class="hint broad">Date driven or first inspected (server time)</p>
    <div class="buttons">
      <button class="act main">{COMMON.find}</button>
      <a class="act" href={action}>Clear filters</a>
    </div>
  </form>
</details>

<style>
  @media (min-width: 701px) {
    summary {
      display: none;
    }
  }
  form {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(132px, 1fr));
    align-items: end;
    gap: 6px 8px;
    padding: 12px 14px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--panel);
  }
  label {
    display: grid;
    gap: 2px;
    min-width: 0;
  }
  label.broad {
    grid-column: span 2;
  }
  p.broad {
    grid-column: span 2;
    align-self: center;
  }
  input,
  select {
    width: 100%;
    min-width: 0;
    text-overflow: ellipsis;
  }
  [type='date'] {
    padding-inline: 6px;
    font-size: var(--small);
  }
  .buttons {
    grid-column: span 2;
    display: flex;
    gap: 8px;
  }
  .buttons .main {
    flex: 1;
  }
</style>
