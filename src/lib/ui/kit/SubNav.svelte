<script lang="ts">
  /** The pages, or the views, of one place: the one that is open is underlined. */
  interface Props {
    label: string;
    links: readonly { href: string; text: string; here: boolean }[];
    /** of views of one page: it stays the same page */
    within?: boolean;
  }
  let { label, links, within = false }: Props = $props();
</script>

<nav class="sub" aria-label={label}>
  {#each links as { href, text, here } (href)}
    <a {href} aria-current={here ? (within ? 'true' : 'page') : undefined}>{text}</a>
  {/each}
</nav>

<style>
  .sub {
    display: flex;
    flex-wrap: wrap;
    gap: 0 6px;
  }
  a {
    display: inline-flex;
    align-items: center;
    min-width: 44px;
    min-height: 44px;
    padding: 0 0.7rem;
    border-bottom: 3px solid transparent;
    color: var(--ink);
    font-family: var(--head-font);
    font-weight: 600;
    text-decoration: none;
  }
  a:hover {
    border-color: var(--line-strong);
  }
  [aria-current] {
    border-color: var(--ink);
  }
</style>
