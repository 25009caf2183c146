<script lang="ts">
  import { useWorkspace, type Change } from '$lib/client/workspace.svelte';
  import Choice from '../Choice.svelte';
  import LengthField from '../LengthField.svelte';
  import { asksOf, type ChoiceAsk } from './kind-fields';

  /** The questions that this kind of joint asks at a station. */
  interface Props {
    station: 'carry' | 'lay-out';
  }
  let { station }: Props = $props();
  const workspace = useWorkspace();
  const asks = $derived(asksOf(station, workspace.entered));
  const valueOf = (key: string): unknown => (workspace.entered as Record<string, unknown>)[key];
  const set = (key: string, value: string | number | boolean) =>
    workspace.edit({ [key]: value } as Change, key);
  const chosen = ({ key, options, read }: ChoiceAsk): string =>
    options.find(({ value }) => (read ? read(value) : value) === valueOf(key))?.value ?? '';
</script>

<div class="fields">
  {#each asks as ask (ask.key)}
    {#if ask.ask === 'choice'}
      <div class:wide={ask.options.map(({ text }) => text).join('').length > 16}>
        <Choice
          label={ask.label}
          value={chosen(ask)}
          options={ask.options}
          onchoose={(value) => set(ask.key, ask.read ? ask.read(value) : value)}
        />
      </div>
    {:else}
      <div class:wide={ask.label.length > 24}>
        <LengthField
          label={ask.label}
          plain={ask.ask === 'number'}
          value={String(valueOf(ask.key) ?? '')}
          placeholder={ask.placeholder ?? ''}
          whenEmpty={ask.whenEmpty ?? ''}
          problem={workspace.problemAt(ask.key)}
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
