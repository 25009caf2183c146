<script lang="ts">
  import { COMMON } from '$lib/words/pages/common';
  import { PEOPLE } from '$lib/words/pages/people';
  import Field from '$lib/ui/people/Field.svelte';
  import TypedForm from '$lib/ui/people/TypedForm.svelte';
  import Notice from '$lib/ui/kit/Notice.svelte';
  import type { ActionData, PageData } from './$types';

  interface Props {
    data: PageData;
    form: ActionData;
  }
  let { data, form }: Props = $props();
  const refused = (way: string) => (form?.way === way ? form.message : '');
</script>

<svelte:head><title>{data.me.name} · Zanjador</title></svelte:head>

<div class="page narrow-page">
  <h1>{data.me.name}</h1>
  <p>{data.me.role}</p>
  {#if form?.said}<Notice level="note" title={COMMON.done} text={form.said} />{/if}
  <section aria-labelledby="password">
    <h2 id="password">Change password</h2>
    <TypedForm action="?/password" refused={refused('password')}>
      <Field name="old" label="Current password" type="password" autocomplete="current-password" />
      <Field
        name="password"
        label="New password"
        type="password"
        autocomplete="new-password"
        hint="At least 12 characters. Signs you out on all other devices."
      />
      <button class="act main">Change it</button>
    </TypedForm>
  </section>
  <section aria-labelledby="pin">
    <h2 id="pin">PIN for shared devices</h2>
    <p class="hint">On a shared device set up by a lead, the PIN alone signs you in.</p>
    <TypedForm action="?/pin" refused={refused('pin')}>
      <Field
        name="password"
        label={PEOPLE.yourPassword}
        type="password"
        autocomplete="current-password"
      />
      <Field
        name="pin"
        label={PEOPLE.pIN}
        type="password"
        inputmode="numeric"
        autocomplete="off"
        hint="6 to 10 digits, no sequence such as 123456. Leave blank to remove the PIN."
      />
      <button class="act">Save PIN</button>
    </TypedForm>
  </section>
  <section aria-labelledby="out">
    <h2 id="out">Everywhere</h2>
    <form method="POST" action="?/everywhere">
      <button class="act">{PEOPLE.signOutEverywhere}</button>
    </form>
  </section>
</div>

<style>
</style>
