<script lang="ts">
  import { PEOPLE } from '$lib/words/pages/people';
  import Field from '$lib/ui/people/Field.svelte';
  import TypedForm from '$lib/ui/people/TypedForm.svelte';
  import type { ActionData, PageData } from './$types';

  interface Props {
    data: PageData;
    form: ActionData;
  }
  let { data, form }: Props = $props();
</script>

<svelte:head><title>One-time code · Zanjador</title></svelte:head>

<div class="page narrow-page">
  <h1>{data.first ? 'Create the first lead' : 'Sign in with a one-time code'}</h1>
  <p>
    {data.first
      ? 'Enter the code printed by the start command to create the first lead. The lead then adds the other users.'
      : 'Enter the code from your lead and choose a password. The code works once, for two days.'}
  </p>
  <TypedForm action="?" refused={form?.message ?? ''}>
    {#if data.first}<Field name="name" label={PEOPLE.name} autocomplete="name" required />{/if}
    <Field
      name="login"
      label={PEOPLE.login}
      autocomplete="username"
      autocapitalize="none"
      required
    />
    <Field
      name="code"
      label={PEOPLE.code}
      autocomplete="one-time-code"
      autocapitalize="characters"
      required
    />
    <Field
      name="password"
      label={PEOPLE.password}
      type="password"
      autocomplete="new-password"
      hint="At least 12 characters. Use several unrelated words."
      required
    />
    <button class="act main">{PEOPLE.keepThePasswordAndCome}</button>
  </TypedForm>
  {#if !data.first}<p><a href="/who">Sign in with password</a></p>{/if}
</div>

<style>
  a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    text-decoration: underline;
  }
</style>
