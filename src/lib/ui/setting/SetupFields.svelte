<script lang="ts">
  import { usePreferences } from '$lib/client/preferences.svelte';
  import Choice from '../kit/Choice.svelte';
  import type { FieldProblem } from '../kit/field-problem';
  import LengthField from '../kit/LengthField.svelte';
  import Pick from '../kit/Pick.svelte';
  import TextField from '../kit/TextField.svelte';
  import type { FieldRow } from './setup-field';

  /** Rows of fields, from what describes them. */
  interface Props {
    rows: readonly FieldRow[];
    filling: {
      shown: (field: string) => string;
      type: (field: string, value: string) => void;
      problemOf: (field: string) => FieldProblem | undefined;
    };
    /** an unusual thickness is meant */
    onmeant?: (() => void) | undefined;
  }
  let { rows, filling, onmeant }: Props = $props();
  const preferences = usePreferences();
</script>

{#each rows as { title, fields, narrow, hint }, at (at)}
  {#if title}<h2 class="label">{title}</h2>{/if}
  {#if fields.length > 0}
    <div class="row" class:narrow>
      {#each fields as field (field.key)}
        {@const { key, label } = field}
        {@const value = filling.shown(key)}
        {@const problem = filling.problemOf(key)}
        {@const choose = (text: string) => filling.type(key, text)}
        {#if field.as === 'length'}
          <LengthField
            {label}
            {value}
            {problem}
            whenEmpty={field.whenEmpty ?? ''}
            list={field.list}
            plain={field.plain ?? false}
            {onmeant}
            oninput={choose}
          />
        {:else if field.as === 'text' || field.as === 'whole'}
          <TextField
            name={key}
            {label}
            maxlength={field.most}
            hint={field.as === 'text' ? (field.hint ?? '') : ''}
            inputmode={field.as === 'whole' ? 'numeric' : 'text'}
            errors={field.as === 'whole' && problem
              ? [preferences.refusal(problem.said)]
              : undefined}
            bind:value={() => value, choose}
          />
        {:else if field.as === 'choice'}
          <Choice
            {label}
            {value}
            options={field.options}
            quiet={field.quiet ?? false}
            testid={field.testid}
            onchoose={choose}
          />
        {:else}
          <Pick {label} {value} options={field.options} onchoose={choose} />
        {/if}
      {/each}
    </div>
  {/if}
  {#if hint}<p class="hint">{hint}</p>{/if}
{/each}

<style>
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(min(100%, 270px), 1fr));
    gap: 10px;
  }
  .narrow {
    grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  }
</style>
