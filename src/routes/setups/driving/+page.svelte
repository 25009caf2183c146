<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import SetupsPage from '$lib/ui/kit/SetupsPage.svelte';
  import ToolSettingLine from '$lib/ui/tool-setting/ToolSettingLine.svelte';
  import ToolSetupForm from '$lib/ui/tool-setting/ToolSetupForm.svelte';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
</script>

<svelte:head><title>Squeezers, guns and dies · Zanjador</title></svelte:head>

{#snippet forRun()}
  {#if data.task}
    {COMMON.for} <strong>{data.task.work}</strong>: {data.task.run.rivets} rivets. Length, grip and hole
    from the release, at its maximum grip.
  {/if}
{/snippet}
<SetupsPage here="driving" title="Squeezers, guns and dies" work={data.task ? forRun : undefined}>
  {#snippet list()}
    <section aria-label="Settings, newest first">
      {#each data.settings as setting (setting.id)}
        <ToolSettingLine {setting} />
      {:else}
        <p class="hint">
          No settings yet. Find a setting on scrap; the first three good heads qualify it.
        </p>
      {/each}
    </section>
  {/snippet}
  {#snippet aside()}
    {#key data.task?.run.key}
      <ToolSetupForm tools={data.tools} remembered={data.settings} task={data.task} />
    {/key}
  {/snippet}
</SetupsPage>
