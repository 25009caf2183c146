<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import SubNav from './SubNav.svelte';
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

<SubNav
  label="Setups"
  links={PAGES.map(({ key, href, text }) => ({ href, text, here: key === here }))}
/>
