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

<svelte:head><title>In by a code · Zanjador</title></svelte:head>

<div class="page narrow-page">
  <h1>{data.first ? 'The first lead of this shop' : 'In by a code'}</h1>
  <p>
    {data.first
      ? 'The start command printed a code: whoever can read it there enters the first lead, who enters the others.'
      : 'A lead gave you a code: it is good once, for two days. Choose a password with it.'}
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
      hint="at least 12 characters: a few words that nobody would guess"
      required
    />
    <button class="act main">{PEOPLE.keepThePasswordAndCome}</button>
  </TypedForm>
  {#if !data.first}<p><a href="/who">I have a password</a></p>{/if}
</div>

<style>
  h1 {
    font-size: 1.9rem;
  }
  a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    text-decoration: underline;
  }
</style>
