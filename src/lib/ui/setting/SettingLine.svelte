<script lang="ts">
  import type { Snippet } from 'svelte';

  /** One setting of a tool in a line: for what, where it stands, whether it may be trusted. */
  interface Props {
    id: string;
    href: string;
    /** what was found, in figures; none while it is tried */
    figures: Snippet;
    about: Snippet;
    work: string;
    /** when it was found or begun, and by whom */
    at: string;
    by: string;
    mark: { sign: '✓' | '△' | '…' | '✕'; text: string };
  }
  let { id, href, figures, about, work, at, by, mark }: Props = $props();
  const day = new Intl.DateTimeFormat('en', { dateStyle: 'medium' });
  const TONES = { '✓': 'good', '△': 'look', '…': 'open', '✕': 'bad' };
</script>

<a class="setting" {href} data-setting={id}>
  <span class="figures">{@render figures()}</span>
  <span>
    {@render about()}
    <small>{work === '' ? '' : `${work} · `}{day.format(new Date(at))}, {by}</small>
  </span>
  <span class="mark-word {TONES[mark.sign]}">{mark.sign} {mark.text}</span>
</a>

<style>
  .setting {
    display: grid;
    grid-template-columns: 6.5rem minmax(0, 1fr) minmax(0, 13rem);
    align-items: center;
    gap: 10px;
    min-height: 56px;
    padding: 4px 8px;
    border-top: 1px solid var(--line);
    color: inherit;
    text-decoration: none;
  }
  .setting:hover {
    background: var(--olive-soft);
  }
  .figures {
    font-variant-numeric: tabular-nums;
  }
  .figures :global(strong) {
    font-size: 1.3rem;
  }
  small,
  .figures :global(small) {
    display: block;
    color: var(--ink-soft);
  }
  .mark-word {
    color: var(--ink-soft);
    font-weight: 700;
  }
  .good {
    color: var(--olive-deep);
  }
  .look {
    color: var(--amber);
  }
  .bad {
    color: var(--brick);
  }
  @media (max-width: 700px) {
    .setting {
      grid-template-columns: 4.6rem minmax(0, 1fr);
    }
    .mark-word {
      grid-column: 2;
    }
  }
</style>
