<script lang="ts">
  import { recheckStatus } from '$core/prepare/cage/rechecks.ts';
  import { isPractice } from '$core/prepare/cage/setting.ts';
  import { settingAddress } from '$lib/setups-address';
  import type { CageLine } from '$lib/setting-view';
  import { lineMarkInWords } from '$lib/words/cages';
  import Length from '../kit/Length.svelte';
  import SettingLine from '../setting/SettingLine.svelte';

  /** One setting of a cage in a line. */
  interface Props {
    setting: CageLine;
  }
  let { setting }: Props = $props();
  const { setup, state: now } = $derived(setting);
  const last = $derived(now.looks.at(-1));
  const mark = $derived(
    lineMarkInWords({
      withdrawn: now.withdrawn !== null,
      set: now.found !== null,
      practice: isPractice(now),
      looked: last !== undefined,
      status: recheckStatus(setup, now, last?.afterHoles ?? 0)
    })
  );
</script>

<SettingLine
  id={setting.id}
  href={settingAddress(setting.cageId, setting.id)}
  work={setting.work}
  at={now.found?.at ?? setting.begunAt}
  by={now.found?.by ?? setting.by}
  {mark}
>
  {#snippet figures()}
    {#if now.found}<strong>{now.found.clicks}</strong>{#if now.found.nest}<small
          >nested {now.found.nest.clicks}</small
        >{/if}{:else}–{/if}
  {/snippet}
  {#snippet about()}
    dash {setup.dash} in <Length lengthIn={setup.couponIn} decimal />
    {setup.couponMaterial}
  {/snippet}
</SettingLine>
