<script lang="ts">
  import { toolStatus } from '$core/tool-setting/tool-status.ts';
  import { cold } from '$lib/client/cold.svelte';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import type { ToolLine } from '$lib/setting-view';
  import { toolSettingAddress } from '$lib/setups-address';
  import {
    foundInWords,
    setupInWords,
    TOOL_WORDS,
    toolStatusInWords
  } from '$lib/words/tool-settings';
  import SettingLine from '../setting/SettingLine.svelte';

  /** One setting of a squeezer, a gun or dies in a line. */
  interface Props {
    setting: ToolLine;
  }
  let { setting }: Props = $props();
  const preferences = usePreferences();
  const { setup, state: now } = $derived(setting);
  const status = $derived(
    toolStatus(setup, now, {
      at: cold.serverNow,
      gripIn: null,
      lot: null,
      turnedAt: setting.turnedAt
    })
  );
  const SIGNS = {
    released: '✓',
    look: '△',
    first: '…',
    trying: '…',
    bad: '✕',
    withdrawn: '✕'
  } as const;
</script>

<SettingLine
  id={setting.id}
  href={toolSettingAddress(setting.id)}
  work={setting.work}
  at={now.found?.at ?? setting.begunAt}
  by={now.found?.by ?? setting.by}
  mark={{ sign: SIGNS[status.state], text: toolStatusInWords(status, preferences.inWords) }}
>
  {#snippet figures()}{now.found ? foundInWords(now.found, setup) : '–'}{/snippet}
  {#snippet about()}
    <strong>{TOOL_WORDS[setup.tool]}: {setup.name}</strong><br />
    {setupInWords(setup, preferences.inWords)}
  {/snippet}
</SettingLine>
