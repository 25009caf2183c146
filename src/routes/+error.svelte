<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { page } from '$app/state';

  /** What the server could not do now it may in a moment: the page asks again, as it says. */
  const AGAIN_MS = 6000;
  $effect(() => {
    if (page.status < 500) return;
    const timer = setTimeout(() => location.reload(), AGAIN_MS);
    return () => clearTimeout(timer);
  });
</script>

<svelte:head><title>{page.status} · Zanjador</title></svelte:head>

<div class="miss">
  <h1>{page.status === 404 ? 'Page not found' : 'Something went wrong'}</h1>
  <p>{page.error?.message}</p>
  <a class="act main" href="/">{COMMON.toTheBench}</a>
</div>

<style>
  .miss {
    display: flex;
    flex-direction: column;
    align-items: flex-start;
    gap: 1rem;
    padding: 3rem;
  }
</style>
