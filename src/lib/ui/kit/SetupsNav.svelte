<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  /** The three pages of Setups. */
  interface Props {
    here: 'cages' | 'driving' | 'tools';
  }
  let { here }: Props = $props();
  const PAGES = [
    { key: 'cages', href: '/setups', text: 'Stop countersinks' },
    { key: 'driving', href: '/setups/driving', text: 'Squeezers, guns and dies' },
    { key: 'tools', href: '/setups/tools', text: COMMON.theShopsTools }
  ] as const;
</script>

<nav aria-label="Setups">
  {#each PAGES as { key, href, text } (key)}
    <a class="act" class:main={key === here} aria-current={key === here ? 'page' : undefined} {href}
      >{text}</a
    >
  {/each}
</nav>

<style>
  nav {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    margin-bottom: 8px;
  }
</style>
