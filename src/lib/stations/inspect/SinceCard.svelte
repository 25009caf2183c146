<script lang="ts">
  import { isAnotherRivet, type SinceRelease } from '$core/releases/since-release.ts';
  import { fieldName } from '$lib/words/field-names';
  import { againInWords, goneInWords } from '$lib/words/releases';
  import Notice from '../../ui/kit/Notice.svelte';
  import More from '../../ui/kit/More.svelte';

  /** What this release changed against the one before it: what it takes over, and what is driven or looked at again. */
  interface Props {
    since: SinceRelease;
    /** the joint, whose sheets and holes the changes name */
    document: unknown;
    onpick?: (hole: number) => void;
  }
  let { since, document, onpick }: Props = $props();
  const groups = $derived(againInWords(since.again));
  const looked = $derived(since.carried.filter((one) => one.looked).length);
  const first = $derived(
    since.again.filter(({ inIt, why }) => inIt && isAnotherRivet(why)).map(({ hole }) => hole)
  );
</script>

<div data-testid="since">
  {#if first.length > 0}
    <Notice
      level="stop"
      title="Remove the rivets of release {since.release} first"
      text="Holes {first.join(
        ', '
      )} have a rivet of that release; a different rivet is planned here. Measure the hole before installing the new rivet."
    />
  {/if}
  {#if since.gone.length > 0}
    <Notice
      level="stop"
      title="Rivets in the part are missing from this release"
      text="{goneInWords(since.gone)}. Their holes exist in the parts but not in this layout."
    />
  {/if}
  <More
    title="Since release {since.release}: {since.carried
      .length} carried forward ({looked} inspected); {since.again.length} to drive or inspect"
  >
    {#each groups as { why, inIt, text, holes } (`${why} ${inIt}`)}
      <p>
        <strong>{text}{inIt ? ', a rivet is in it' : ''}:</strong>
        {#each holes as hole (hole)}
          {#if onpick}<button class="hole" type="button" onclick={() => onpick(hole)}>{hole}</button
            >{:else}{hole},{/if}
        {/each}
      </p>
    {/each}
    {#if since.replaced.length > 0}
      <p>
        Replaced in that release, carried forward: {since.replaced
          .map(({ hole, rivet }) => `${hole} (${rivet.partNumber})`)
          .join(', ')}.
      </p>
    {/if}
    {#if since.blind.length > 0}
      <p>
        Blind fasteners: {since.blind
          .map(({ hole, fastener }) => `${hole} (${fastener})`)
          .join(', ')}.
      </p>
    {/if}
    {#if since.changes.length > 0}
      <ul>
        {#each since.changes as { path, was, now } (path)}
          <li>{fieldName(path, document)}: {was} → {now}</li>
        {/each}
      </ul>
    {/if}
  </More>
</div>

<style>
  .hole {
    min-width: 44px;
    min-height: 44px;
    border: 1.5px solid var(--line-strong);
    border-radius: 8px;
    font-variant-numeric: tabular-nums;
    cursor: pointer;
  }
  ul {
    padding-left: 1.2rem;
    list-style: disc;
  }
</style>
