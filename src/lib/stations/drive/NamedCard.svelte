<script lang="ts">
  import { DRIVE } from '$lib/words/pages/drive';
  import { inRuns } from '$lib/words/pattern';
  import { whoIsHere } from '../../client/who';
  import type { DriveDesk } from './drive-desk.svelte';

  /** Rivets at which somebody was named at gun or bar by another: their own word confirms it. */
  interface Props {
    desk: DriveDesk;
    /** whoever is here; empty where nobody is */
    person: string;
    whoHref: string;
  }
  let { desk, person, whoHref }: Props = $props();
  const me = $derived(person === '' ? null : whoIsHere());
  const mine = $derived(desk.named.filter(({ person }) => person === me));
  const others = $derived(desk.named.filter(({ person }) => person !== me));
  const rivets = (taps: typeof mine): string => inRuns([...new Set(taps.map(({ hole }) => hole))]);
  const who = $derived([...new Set(mine.map(({ by }) => by))].join(', '));
</script>

{#if mine.length > 0}
  <section class="named" data-testid="named-mine">
    <p>{who} named you at gun or bar: rivets {rivets(mine)}. Did you hold it?</p>
    <button class="act" type="button" onclick={() => desk.confirm(mine.map(({ tap }) => tap))}
      >{DRIVE.iHeldIt}</button
    >
  </section>
{/if}
{#if others.length > 0}
  <section class="named" data-testid="named-others">
    <p>
      Rivets {rivets(others)}: gun or bar operator named, not confirmed. That person confirms here
      after signing in, or on their own device.
    </p>
    <a class="act" href={whoHref}>{DRIVE.signInToConfirm}</a>
  </section>
{/if}

<style>
  .named {
    display: grid;
    gap: 8px;
    padding: 10px 14px;
    border-radius: 10px;
    background: var(--bench);
  }
</style>
