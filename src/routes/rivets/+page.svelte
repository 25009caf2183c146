<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { RIVETS } from '$lib/words/pages/rivets';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { alloyFacts, byMark, OLDER_HEADS } from '$core/catalog/alloys.ts';
  import { rivetSize } from '$core/catalog/rivets.ts';
  import { partNumber } from '$core/stack/part-number.ts';
  import HeadMark from '$lib/drawing/head/HeadMark.svelte';
  import OlderHead from '$lib/drawing/head/OlderHead.svelte';
  import RivetPicture from '$lib/drawing/head/RivetPicture.svelte';
  import Length from '$lib/ui/kit/Length.svelte';

  const preferences = usePreferences();

  let typed = $state('MS20470AD4-6');
  let mark = $state('');
  const read = $derived(typed.trim() === '' ? null : partNumber({ text: typed.slice(0, 60) }));
  const found = $derived(byMark(mark));
  const SHAPES = { universal: 'universal, protruding', countersunk: '100° countersunk, flush' };
  const MEASURED = {
    universal: 'measured under the head',
    countersunk: 'overall length, head included'
  };
</script>

<svelte:head><title>Rivets · Zanjador</title></svelte:head>

<div class="page rivets">
  <h1>{COMMON.rivetId}</h1>
  <section class="boxed-wide" aria-labelledby="read">
    <h2 id="read" class="label">Identify by part number</h2>
    <label class="ask">
      <span>{RIVETS.partNumberAsItStands}</span>
      <input
        class="field-box"
        type="text"
        autocomplete="off"
        spellcheck="false"
        maxlength="60"
        bind:value={typed}
      />
    </label>
    {#if read?.ok}
      {@const rivet = read.result}
      {@const facts = alloyFacts(rivet.alloy)}
      <div class="decoded" data-testid="decoded">
        <div>
          <p class="canonical">{rivet.canonical}</p>
          <dl>
            <dt>Head</dt>
            <dd>{SHAPES[rivet.head]}</dd>
            <dt>Alloy</dt>
            <dd>{rivet.alloy}: {facts.alloy}, {facts.use}</dd>
            <dt>Mark</dt>
            <dd>{facts.mark}</dd>
            <dt>{COMMON.diameter}</dt>
            <dd>dash {rivet.dash}, <Length lengthIn={rivet.diameterIn} /></dd>
            <dt>{COMMON.length}</dt>
            <dd>
              {rivet.lengthDash} sixteenths, <Length lengthIn={rivet.lengthIn} />, {MEASURED[
                rivet.head
              ]}
            </dd>
            <dt>Drill</dt>
            <dd>{rivetSize(rivet.dash).drill.close} after a #40 pilot</dd>
          </dl>
        </div>
        <RivetPicture {rivet} />
      </div>
    {:else if read}
      <p class="warns-strong" role="status">{preferences.refusal(read.error.said)}</p>
    {/if}
  </section>

  <section class="boxed-wide" aria-labelledby="marks">
    <h2 id="marks" class="label">Identify by head mark</h2>
    <label class="ask">
      <span>{RIVETS.findByMarkOneRaised}</span>
      <input class="field-box" type="text" autocomplete="off" maxlength="60" bind:value={mark} />
    </label>
    <ul class="marks" data-testid="marks">
      {#each found.alloys as alloy (alloy.code)}
        <li>
          <svg viewBox="0 0 88 88" width="88" height="88" aria-hidden="true">
            <HeadMark shape={alloy.shape} cx={44} cy={44} radius={40} />
          </svg>
          <span>
            <strong>{alloy.code}</strong> · {alloy.alloy}
            <small>{alloy.mark}</small>
            <small class:cold={alloy.cold !== null}>{alloy.use}</small>
          </span>
        </li>
      {/each}
      {#each found.others as other (other.metal)}
        <li class="other" data-testid="other-mark">
          <span>
            <strong>{other.metal}</strong>
            <small>{other.mark}</small>
            <small>not planned here: never substitute it</small>
          </span>
        </li>
      {/each}
      {#if found.alloys.length + found.others.length === 0}
        <li class="none" data-testid="no-such-mark">
          No match: do not use the rivet until identified. Search words: plain, dimple, raised,
          recessed, dot, dash, cross, ring, triangle, reddish, yellow.
        </li>
      {/if}
    </ul>
    <p class="hint">
      A plain head may be soft 1100. Do not use it in structure unless the bag identifies it.
    </p>
  </section>

  <section class="boxed-wide" aria-labelledby="older">
    <h2 id="older" class="label">Obsolete head styles (identification only)</h2>
    <ul class="older">
      {#each OLDER_HEADS as older (older.standard)}
        <li><OlderHead head={older.head} /> <strong>{older.standard}</strong> {older.head}</li>
      {/each}
    </ul>
    <p class="hint">Shapes only, not to scale. None of these is calculated here.</p>
  </section>
</div>

<style>
  .rivets {
    max-width: 980px;
  }
  .ask {
    display: grid;
    gap: 2px;
    max-width: 26rem;
    padding: 4px 0 10px;
  }
  .ask input {
    font-size: 1.2rem;
  }
  .decoded {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
    gap: 16px;
  }
  .canonical {
    font-size: 1.8rem;
    font-weight: 700;
  }
  dl {
    display: grid;
    grid-template-columns: auto minmax(0, 1fr);
    gap: 6px 14px;
  }
  dt {
    color: var(--ink-soft);
  }
  dd {
    margin: 0;
  }
  .marks {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
    gap: 10px;
    padding: 0;
    list-style: none;
  }
  .marks li {
    display: flex;
    align-items: center;
    gap: 12px;
    line-height: 1.3;
  }
  .marks svg {
    flex: none;
  }
  .marks .other {
    align-items: flex-start;
    color: var(--ink-soft);
  }
  .marks .none {
    grid-column: 1 / -1;
  }
  small {
    display: block;
    color: var(--ink-soft);
  }
  .cold {
    color: var(--dye);
    font-weight: 700;
  }
  .older {
    display: flex;
    flex-wrap: wrap;
    gap: 24px;
    padding: 0;
    list-style: none;
  }
  .older li {
    display: flex;
    align-items: center;
    gap: 8px;
  }
  @media (max-width: 700px) {
    .decoded {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
