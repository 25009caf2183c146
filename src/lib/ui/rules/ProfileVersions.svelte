<script lang="ts">
  import { dayInWords } from '$lib/words/when';
  import type { ProfileView } from '$lib/api/profiles.ts';

  /** Every version of every profile, the newest first. */
  interface Props {
    profiles: readonly ProfileView[];
    chosen: string;
    onchoose: (id: string) => void;
  }
  let { profiles, chosen, onchoose }: Props = $props();
</script>

<aside aria-label="Versions">
  {#each profiles as one (one.id)}
    <button
      type="button"
      class="version"
      aria-pressed={one.id === chosen}
      onclick={() => onchoose(one.id)}
    >
      <strong>{one.rules.name}, version {one.rules.version}</strong>
      <span
        >{one.current ? '✓ used for new joints · ' : ''}{one.joints} joint{one.joints === 1
          ? ''
          : 's'}</span
      >
      <span
        >{dayInWords(one.madeAt)}{one.madeBy ? `, ${one.madeBy}` : ''}{one.note
          ? `: ${one.note}`
          : ''}</span
      >
    </button>
  {/each}
</aside>

<style>
  aside {
    display: flex;
    flex-direction: column;
    gap: 8px;
    padding: 14px;
    overflow-y: auto;
    background: var(--bench);
  }
  .version {
    display: grid;
    gap: 2px;
    padding: 10px 12px;
    text-align: left;
    border: 1.5px solid var(--line-strong);
    border-radius: 8px;
    background: var(--panel);
    cursor: pointer;
  }
  .version span {
    font-size: var(--small);
    color: var(--ink-soft);
  }
  .version[aria-pressed='true'] {
    border-color: var(--olive-deep);
    border-width: 2.5px;
  }
</style>
