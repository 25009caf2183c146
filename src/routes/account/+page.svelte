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
    <h2 class="head-2" id="password">Another password</h2>
    <TypedForm action="?/password" refused={refused('password')}>
      <Field name="old" label="The one until now" type="password" autocomplete="current-password" />
      <Field
        name="password"
        label="The new one"
        type="password"
        autocomplete="new-password"
        hint="at least 12 characters; every other session ends"
      />
      <button class="act main">Change it</button>
    </TypedForm>
  </section>
  <section aria-labelledby="pin">
    <h2 class="head-2" id="pin">PIN for a shared bench</h2>
    <p class="hint">
      Where a lead has trusted the device, a PIN is enough to take the bench over from another hand.
    </p>
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
        hint="6 to 10 figures, no run like 123456; empty: none any more"
      />
      <button class="act main">{COMMON.keepIt}</button>
    </TypedForm>
  </section>
  <section aria-labelledby="out">
    <h2 class="head-2" id="out">Everywhere</h2>
    <form method="POST" action="?/everywhere">
      <button class="act">{PEOPLE.signOutEverywhere}</button>
    </form>
  </section>
</div>

<style>
  h1 {
    font-size: 1.9rem;
  }
</style>
