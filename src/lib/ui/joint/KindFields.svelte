<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import { useWorkspace, type Change } from '$lib/client/workspace.svelte';
  import Choice from '../kit/Choice.svelte';
  import LengthField from '../kit/LengthField.svelte';
  import type { ChoiceAsk } from '$core/kinds/asks.ts';
  import { kindOf, type EnteredJoint } from '$core/kinds/joint.ts';
  import { notationInWords } from '$lib/words/arithmetic';

  /** The questions that this kind of joint asks at a station. */
  interface Props {
    station: 'size' | 'layout';
  }
  let { station }: Props = $props();
  const preferences = usePreferences();
  const workspace = useWorkspace();
  const asks = $derived(
    kindOf(workspace.entered).asks[station].filter(({ when }) => when?.(workspace.entered) ?? true)
  );
  const valueOf = (key: string): unknown => (workspace.entered as Record<string, unknown>)[key];
  const set = (key: string, value: string | number | boolean, also: Record<string, unknown> = {}) =>
    workspace.edit({ [key]: value, ...also } as Change, key);
  const chosen = ({ key, options, read }: ChoiceAsk<EnteredJoint>): string =>
    options.find(({ value }) => (read ? read(value) : value) === valueOf(key))?.value ?? '';
</script>

<div class="fields">
  {#each asks as ask (ask.key)}
    {#if ask.ask === 'choice'}
      <div class:wide={ask.options.map(({ text }) => text).join('').length > 16}>
        <Choice
          testid="asked-{ask.key}"
          label={ask.label}
          value={chosen(ask)}
          options={ask.options}
          onchoose={(value) =>
            set(ask.key, ask.read ? ask.read(value) : value, ask.also?.(workspace.entered, value))}
        />
      </div>
    {:else}
      <div class:wide={ask.label.length > 24}>
        <LengthField
          testid="asked-{ask.key}"
          label={ask.label}
          plain={ask.ask !== 'length'}
          value={String(valueOf(ask.key) ?? '')}
          placeholder={ask.placeholder ?? ''}
          whenEmpty={notationInWords(ask.whenEmpty ?? '', preferences.lengths)}
          problem={workspace.problemAt(ask.key)}
          onmeant={() => workspace.mean(ask.key)}
          oninput={(text) => set(ask.key, text)}
        />
      </div>
    {/if}
  {/each}
</div>

<style>
  .fields {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 10px;
  }
  .fields > div {
    min-width: 0;
  }
  .wide {
    grid-column: 1 / -1;
  }
</style>
