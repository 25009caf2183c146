<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import type { RivetRun } from '$core/driving/rivet-runs.ts';
  import { settingOfRun } from '$core/tool-setting/run-setting.ts';
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { runSettingAddress, toolSettingAddress } from '$lib/setups-address';
  import type { ToolLine } from '$lib/setting-view';
  import { settingInUseInWords } from '$lib/words/tool-settings';
  import type { DriveDesk } from './drive-desk.svelte';

  /** How the tool of a run is set, and whether it may go on. */
  interface Props {
    desk: DriveDesk;
    run: RivetRun;
    settings: readonly ToolLine[];
    jointId: string;
  }
  let { desk, run, settings, jointId }: Props = $props();
  const preferences = usePreferences();
  const used = $derived(settingOfRun(desk.release, run, settings, desk.useNow(run)));
  const said = $derived(settingInUseInWords(used, preferences.inWords));
  const anew = $derived(used === null || used.changes.length > 0 || used.status.state === 'bad');
</script>

{#if desk.release.facts.practice}
  <p class="hint">Practice: no tool setting is asked for, and none is qualified.</p>
{:else}<p class="setting" class:passes={said.qualified} data-testid="run-setting">
    <span>{said.qualified ? '✓' : '△'} Setting: {said.text}</span>
    <a
      class="act small"
      href={anew || !used
        ? runSettingAddress(jointId, run.key)
        : toolSettingAddress(used.setting.id)}
      >{anew ? COMMON.setIt : said.qualified ? 'View first heads' : 'Continue setup'}</a
    >
  </p>{/if}

<style>
  .setting {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 8px;
    color: var(--amber);
    font-weight: 600;
  }
  a {
    flex: none;
  }
</style>
