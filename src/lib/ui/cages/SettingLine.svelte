<script lang="ts">
  import { CAGES } from '$lib/words/pages/cages';
  import { recheckStatus } from '$core/ready/cage/rechecks.ts';
  import type { RememberedSetting } from '$core/ready/cage/remembered.ts';
  import Length from '../kit/Length.svelte';

  /** One setting of a cage in a line: for what, where it stands, whether it may be trusted. */
  interface Props {
    setting: RememberedSetting & { begunAt: string; by: string };
    href: string;
  }
  let { setting, href }: Props = $props();
  const day = new Intl.DateTimeFormat('en', { dateStyle: 'medium' });
  const { setup, state: now } = $derived(setting);
  const last = $derived(now.rechecks.at(-1));
  const status = $derived(recheckStatus(setup, now, last?.afterHoles ?? 0));
  const mark = $derived(
    now.withdrawn
      ? '✕ withdrawn'
      : !now.found
        ? '… not set yet'
        : now.practice
          ? CAGES.practiceOnly
          : status.state === 'too-deep' || status.state === 'proud'
            ? '✕ re-check was bad'
            : last
              ? '✓ re-checked'
              : '✓ set'
  );
</script>

<a class="setting" {href} data-setting={setting.id}>
  <span class="clicks"
    >{#if now.found}<strong>{now.found.clicks}</strong>{#if now.found.nest}<small
          >nested {now.found.nest.clicks}</small
        >{/if}{:else}–{/if}</span
  >
  <span>
    dash {setup.dash} in <Length lengthIn={setup.couponIn} decimal />
    {setup.couponMaterial}
    <small
      >{setting.work === '' ? '' : `${setting.work} · `}{day.format(
        new Date(now.found?.at ?? setting.begunAt)
      )}, {now.found?.by ?? setting.by}</small
    >
  </span>
  <span class="mark-word" class:bad={mark.startsWith('✕')} class:open={!mark.startsWith('✓')}
    >{mark}</span
  >
</a>

<style>
  .setting {
    display: grid;
    grid-template-columns: 6.5rem minmax(0, 1fr) auto;
    align-items: center;
    gap: 10px;
    min-height: 52px;
    padding: 4px 8px;
    border-top: 1px solid var(--line);
    color: inherit;
    text-decoration: none;
  }
  .setting:hover {
    background: var(--olive-soft);
  }
  .clicks strong {
    font-size: 1.3rem;
    font-variant-numeric: tabular-nums;
  }
  small {
    display: block;
    color: var(--ink-soft);
  }
  .mark-word {
    color: var(--olive-deep);
    font-weight: 700;
    white-space: nowrap;
  }
  .open {
    color: var(--ink-soft);
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
