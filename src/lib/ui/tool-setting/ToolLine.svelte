<script lang="ts">
  import { toolStatus } from '$core/tool-setting/tool-status.ts';
  import { cold } from '$lib/client/cold.svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { toolSettingAddress } from '$lib/setups-address';
  import type { ToolSettingLine } from '$lib/tool-setting-view';
  import {
    foundInWords,
    setupInWords,
    TOOL_WORDS,
    toolStatusInWords
  } from '$lib/words/tool-settings';

  /** One setting of a tool in a line: which, for what, where it stands. */
  interface Props {
    setting: ToolSettingLine;
  }
  let { setting }: Props = $props();
  const preferences = usePreferences();
  const day = new Intl.DateTimeFormat('en', { dateStyle: 'medium' });
  const { setup, state: now } = $derived(setting);
  const status = $derived(
    toolStatus(setup, now, {
      at: cold.serverNow,
      gripIn: null,
      lot: null,
      turnedAt: setting.turnedAt
    })
  );
  const MARKS = {
    released: '✓',
    look: '△',
    first: '…',
    trying: '…',
    bad: '✕',
    withdrawn: '✕'
  };
</script>

<a class="setting" href={toolSettingAddress(setting.id)} data-setting={setting.id}>
  <span>
    <strong>{TOOL_WORDS[setup.tool]}: {setup.name}</strong>{#if now.found}<span class="found"
        >{foundInWords(now.found, setup)}</span
      >{/if}
    <small
      >{setupInWords(setup, preferences.inWords)}{setting.work === '' ? '' : ` · ${setting.work}`} · {day.format(
        new Date(now.found?.at ?? setting.begunAt)
      )}, {now.found?.by ?? setting.by}</small
    >
  </span>
  <span class="mark-word {status.state}"
    >{MARKS[status.state]} {toolStatusInWords(status, preferences.inWords)}</span
  >
</a>

<style>
  .setting {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 15rem);
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
  .found {
    margin-left: 0.8em;
    font-variant-numeric: tabular-nums;
  }
  small {
    display: block;
    color: var(--ink-soft);
  }
  .mark-word {
    color: var(--ink-soft);
    font-weight: 700;
  }
  .released {
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
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
