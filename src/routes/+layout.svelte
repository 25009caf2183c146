<script lang="ts">
  import '../app.css';
  import type { Snippet } from 'svelte';
  import { onMount, untrack } from 'svelte';
  import { page } from '$app/state';
  import CircleDot from '@lucide/svelte/icons/circle-dot';
  import Moon from '@lucide/svelte/icons/moon';
  import Package from '@lucide/svelte/icons/package';
  import Scale from '@lucide/svelte/icons/scale';
  import SlidersVertical from '@lucide/svelte/icons/sliders-vertical';
  import Sun from '@lucide/svelte/icons/sun';
  import UserRound from '@lucide/svelte/icons/user-round';
  import LayoutDashboard from '@lucide/svelte/icons/layout-dashboard';
  import { Preferences, providePreferences } from '$lib/client/preferences.svelte';
  import { setWhoIsHere } from '$lib/client/who';
  import HintLayer from '$lib/ui/kit/HintLayer.svelte';
  import SaidLayer from '$lib/ui/kit/SaidLayer.svelte';
  import type { LayoutData } from './$types';

  interface Props {
    data: LayoutData;
    children: Snippet;
  }
  let { data, children }: Props = $props();
  const preferences = providePreferences(
    untrack(() => new Preferences(data.lengths, data.mode, data.paper))
  );
  $effect.pre(() => setWhoIsHere(data.person?.id ?? null));
  const here = $derived(page.url.pathname);
  // The page listens to clicks and keys from here on; tests wait for it.
  onMount(() => (document.documentElement.dataset['awake'] = ''));
</script>

<div class="shop">
  <nav class="rail" aria-label="Main">
    <a class="sign" href="/" aria-label="Zanjador, to the bench">
      <svg viewBox="0 0 32 32" width="40" height="40" aria-hidden="true">
        <path d="M8 9h16L8 23h16" fill="none" stroke="#b5bf6a" stroke-width="3" />
        <circle cx="8" cy="9" r="3" fill="#f5f2e9" /><circle cx="24" cy="23" r="3" fill="#f5f2e9" />
      </svg>
    </a>
    <a href="/" aria-current={here === '/' ? 'page' : undefined}
      ><LayoutDashboard size={22} /> Bench</a
    >
    <a href="/setups" aria-current={here.startsWith('/setups') ? 'page' : undefined}
      ><SlidersVertical size={22} /> Setups</a
    >
    <a href="/stock" aria-current={here === '/stock' ? 'page' : undefined}
      ><Package size={22} /> Stock</a
    >
    <a href="/rivets" aria-current={here === '/rivets' ? 'page' : undefined}
      ><CircleDot size={22} /> Rivets</a
    >
    <a href="/rules" aria-current={here === '/rules' ? 'page' : undefined}
      ><Scale size={22} /> Rules</a
    >
    <span class="gap"></span>
    <button type="button" onclick={() => preferences.toggleMode()}>
      {#if preferences.mode === 'light'}<Moon size={20} /> Night{:else}<Sun size={20} /> Day{/if}
    </button>
    <a
      href="/who?back={encodeURIComponent(here)}"
      aria-current={here === '/who' ? 'page' : undefined}
      class:nobody={!data.person}
      data-hint={data.person
        ? `${data.person.name}, ${data.person.role}`
        : 'Nobody has said who is at the bench'}
    >
      <UserRound size={22} />
      {data.person ? data.person.name.split(' ')[0] : 'Who?'}
    </a>
  </nav>
  <main>{@render children()}</main>
</div>

<HintLayer />
<SaidLayer />

<style>
  .shop {
    display: grid;
    grid-template-columns: 72px minmax(0, 1fr);
    height: 100vh;
    height: 100dvh;
  }
  .rail {
    display: flex;
    flex-direction: column;
    gap: 6px;
    padding: 10px 6px;
    background: var(--rail);
    color: var(--rail-ink);
  }
  .rail a,
  .rail button {
    display: flex;
    flex-direction: column;
    align-items: center;
    justify-content: center;
    gap: 2px;
    min-height: 56px;
    border-radius: 10px;
    color: inherit;
    font-size: 0.8rem;
    text-decoration: none;
    cursor: pointer;
    overflow: hidden;
  }
  .rail a:hover,
  .rail button:hover,
  .rail [aria-current='page'] {
    background: var(--rail-soft);
  }
  .rail .sign,
  .rail .sign:hover {
    background: none;
  }
  .nobody {
    border: 1.5px dashed #d9871f;
  }
  .gap {
    flex: 1;
  }
  main {
    min-width: 0;
    min-height: 0;
    overflow: auto;
  }
  @media (max-width: 700px) {
    .shop {
      grid-template-columns: minmax(0, 1fr);
      grid-template-rows: minmax(0, 1fr) 60px;
    }
    .rail {
      grid-row: 2;
      flex-direction: row;
      gap: 2px;
      padding: 2px 4px;
    }
    .rail a,
    .rail button {
      flex: 1 1 0;
      min-width: 44px;
      font-size: 0.75rem;
    }
    .rail .sign,
    .gap {
      display: none;
    }
  }
</style>
