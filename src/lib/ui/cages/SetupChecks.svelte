<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { SetupCheck } from '$core/prepare/cage/setup-checks.ts';
  import { checkInWords } from '$lib/words/cages';

  /** What must be right before a trial, each with its numbers. */
  interface Props {
    checks: readonly SetupCheck[];
  }
  let { checks }: Props = $props();
  const preferences = usePreferences();
  const SIGNS = { good: '✓', attention: '△', stop: '✕' };
  const WORDS = { good: 'good', attention: 'attention', stop: 'stop' };
</script>

<ul data-testid="setup-checks">
  {#each checks as check (check.key)}
    {@const words = checkInWords(check, preferences.inWords)}
    <li class={check.verdict} data-check={check.key}>
      <span class="sign" role="img" aria-label={WORDS[check.verdict]}>{SIGNS[check.verdict]}</span>
      <span><strong>{words.title}</strong><small>{words.say}</small></span>
    </li>
  {/each}
</ul>
<p class="caution">△ Disconnect the air before touching the cutter. Eye protection.</p>

<style>
  li {
    display: grid;
    grid-template-columns: 1.6rem minmax(0, 1fr);
    padding: 5px 4px;
    border-bottom: 1px solid var(--line);
    line-height: 1.25;
  }
  small {
    display: block;
    color: var(--ink-soft);
    font-variant-numeric: tabular-nums;
  }
  .sign {
    font-weight: 700;
    color: var(--olive-deep);
  }
  .attention .sign,
  .caution {
    color: var(--amber);
  }
  .stop {
    background: var(--brick-soft);
  }
  .stop .sign,
  .stop strong {
    color: var(--brick);
  }
  .stop small {
    color: var(--ink);
  }
  .caution {
    font-weight: 700;
  }
</style>
