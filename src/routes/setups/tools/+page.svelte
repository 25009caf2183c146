<script lang="ts">
  import { CONNECTION } from '$lib/words/connection.ts';
  import { TOOLS } from '$lib/words/pages/tools';
  import { untrack } from 'svelte';
  import { told } from '$core/refusal-said.ts';
  import { setToolsAt } from '$lib/api/shop.ts';
  import { call } from '$lib/client/call';
  import { TOOL_CHECKS } from '$lib/words/driving';
  import SetupsNav from '$lib/ui/kit/SetupsNav.svelte';
  import { said } from '$lib/ui/kit/said.svelte';
  import SetupFields from '$lib/ui/setting/SetupFields.svelte';
  import {
    asSetupField,
    blankTool,
    TOOL_GROUPS,
    toolsOf,
    typedTools
  } from '$lib/ui/tools/tool-fields';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  /** as they stood when the page was loaded, or kept last */
  let was = $state.raw(untrack(() => data.tools));
  let typed = $state(untrack(() => typedTools(data.tools)));
  const read = $derived(toolsOf(typed));
  let asked = $state(false);
  let refusal = $state('');
  const problem = (id: string, key: string) => {
    const why = read.wrong.get(`${id}.${key}`);
    return why === undefined || !asked ? undefined : { said: told(why), instead: null };
  };

  async function save(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    asked = true;
    if (!read.tools) return;
    const reply = await call(setToolsAt, undefined, { was, now: read.tools });
    refusal = !reply.reached ? CONNECTION.offlineKept : reply.ok ? '' : reply.message;
    if (refusal !== '' || !reply.reached || !reply.ok) return;
    // what another hand has changed meanwhile stands here too
    was = reply.value.tools;
    typed = typedTools(was);
    void said.say(TOOLS.theToolsAreKept);
  }
</script>

<svelte:head><title>Driving tools · Zanjador</title></svelte:head>

<div class="page">
  <SetupsNav here="tools" />
  <h1>Driving tools</h1>
  <p>
    The Drive stage selects from this list. Enter measured sizes, and list only tools the shop has.
  </p>
  <p class="hint">Daily, before use: {TOOL_CHECKS.join(' · ')}</p>
  <form class="rows-wide" onsubmit={save} novalidate>
    {#each TOOL_GROUPS as { key, title, one, fields } (key)}
      <section class="rows-wide boxed" aria-label={title}>
        <h2>{title}</h2>
        {#each typed[key] as tool, at (tool.id)}
          <div class="tool" data-tool={tool.id}>
            <SetupFields
              rows={[{ fields: fields.map(asSetupField) }]}
              filling={{
                shown: (key) => tool[key] ?? '',
                type: (key, value) => (tool[key] = value),
                problemOf: (key) => problem(tool.id, key)
              }}
            />
            <button class="act" type="button" onclick={() => typed[key].splice(at, 1)}
              >Remove</button
            >
          </div>
        {/each}
        <button class="act" type="button" onclick={() => typed[key].push(blankTool(fields))}
          >Add {one}</button
        >
      </section>
    {/each}
    <label class="plate"
      ><input type="checkbox" bind:checked={typed.plate} /> Back-riveting plate</label
    >
    {#if asked && !read.tools}<p data-testid="not-kept" class="wrong" role="alert">
        Not saved. Check the fields above.
      </p>{/if}
    {#if refusal !== ''}<p data-testid="not-kept" class="wrong" role="alert">{refusal}</p>{/if}
    <button class="act main" type="submit" disabled={!data.person}
      >{data.person ? TOOLS.keepTheTools : 'Sign in to save'}</button
    >
  </form>
</div>

<style>
  .tool {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    align-items: start;
    gap: 10px;
    padding-bottom: 10px;
    border-bottom: 1px solid var(--line);
  }
  .tool > .act {
    margin-top: 1.4rem;
  }
  .plate {
    display: flex;
    align-items: center;
    gap: 10px;
    min-height: 44px;
  }
  .plate input {
    width: 24px;
    height: 24px;
  }
  .wrong {
    color: var(--brick);
  }
</style>
