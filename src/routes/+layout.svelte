<script lang="ts">
  import { JOBS } from '$lib/words/pages/jobs';
  import { COMMON } from '$lib/words/pages/common';
  import '../app.css';
  import '../print.css';
  import type { Snippet } from 'svelte';
  import { onMount, untrack } from 'svelte';
  import { page } from '$app/state';
  import { Preferences, providePreferences } from '$lib/client/preferences.svelte';
  import { cold } from '$lib/client/cold.svelte';
  import { setWhoIsHere } from '$lib/client/who';
  import HintLayer from '$lib/ui/kit/HintLayer.svelte';
  import ReachLayer from '$lib/ui/ReachLayer.svelte';
  import ColdClocks from '$lib/ui/cold/ColdClocks.svelte';
  import Mark from '$lib/ui/marks/Mark.svelte';
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
  $effect.pre(() => cold.set(data.cold));
  const here = $derived(page.url.pathname);
  /** past the rail and the head of a joint: at Inspect to the first figure of a head */
  const skipTo = $derived(here.endsWith('/inspect') ? '#diameter' : '#content');
  // The page listens to clicks and keys from here on; tests wait for it.
  onMount(() => (document.documentElement.dataset['awake'] = ''));
  /** paper is white, whatever the screen is */
  function onPaper(printing: boolean): void {
    document.documentElement.dataset['mode'] = printing ? 'light' : preferences.mode;
  }
</script>

<svelte:window onbeforeprint={() => onPaper(true)} onafterprint={() => onPaper(false)} />

<a class="skip" href={skipTo}>{JOBS.skipToTheContent}</a>
<div class="shop">
  <nav class="rail" aria-label={JOBS.main}>
    <a class="sign" href="/" aria-label="Zanjador home">
      <svg viewBox="0 0 32 32" width="40" height="40" aria-hidden="true">
        <path d="M8 9h16L8 23h16" fill="none" stroke="#b5bf6a" stroke-width="3" />
        <circle cx="8" cy="9" r="3" fill="#f5f2e9" /><circle cx="24" cy="23" r="3" fill="#f5f2e9" />
      </svg>
    </a>
    <a href="/" aria-current={here === '/' ? 'page' : undefined}
      ><Mark name="bench" /> {JOBS.bench}</a
    >
    <a href="/setups" aria-current={here.startsWith('/setups') ? 'page' : undefined}
      ><Mark name="setups" /> Tool setup</a
    >
    <a href="/stock" aria-current={here === '/stock' ? 'page' : undefined}
      ><Mark name="stock" /> Stock</a
    >
    <a href="/rivets" aria-current={here === '/rivets' ? 'page' : undefined}
      ><Mark name="rivets" /> {COMMON.rivetId}</a
    >
    <a href="/records" aria-current={here.startsWith('/records') ? 'page' : undefined}
      ><Mark name="records" /> Records</a
    >
    <a href="/rules" aria-current={here === '/rules' ? 'page' : undefined}
      ><Mark name="rules" /> {COMMON.rules}</a
    >
    <span class="gap"></span>
    <button type="button" onclick={() => preferences.toggleMode()}>
      {#if preferences.mode === 'light'}<Mark name="night" /> {JOBS.night}{:else}<Mark name="day" />
        {JOBS.day}{/if}
    </button>
    <a
      href="/who?back={encodeURIComponent(here)}"
      aria-current={here === '/who' ? 'page' : undefined}
      class:nobody={!data.person}
      data-hint={data.person ? `${data.person.name}, ${data.person.role}` : 'Not signed in'}
    >
      <Mark name="who" />
      {data.person ? data.person.name.split(' ')[0] : 'Sign in'}
    </a>
  </nav>
  <div class="stage">
    <ReachLayer madeAt={data.cold.serverAt} />
    <ColdClocks />
    <main id="content" tabindex="-1">{@render children()}</main>
  </div>
</div>

<HintLayer />
<SaidLayer />

<style>
  .skip {
    position: absolute;
    inset: 0 auto auto 0;
    z-index: 50;
    padding: 12px 18px;
    background: var(--ink);
    color: var(--paper);
    transform: translateY(-120%);
  }
  .skip:focus {
    transform: none;
  }
  main:focus {
    outline: none;
  }
  .shop {
    display: grid;
    grid-template-columns: max(72px, 4.5rem) minmax(0, 1fr);
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
    font-size: var(--small);
    text-align: center;
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
  .stage {
    display: flex;
    flex-direction: column;
    min-width: 0;
    min-height: 0;
  }
  main {
    flex: 1;
    min-width: 0;
    min-height: 0;
    overflow: auto;
    /* what one tabs to is not under a bar that stays at the foot */
    scroll-padding-block: 8px 88px;
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
      font-family: var(--head-font);
      font-size: var(--small);
      line-height: 1.05;
    }
    .rail .sign,
    .gap {
      display: none;
    }
  }
</style>
