<script lang="ts">
  import { PEOPLE } from '$lib/words/pages/people';
  import { onMount } from 'svelte';
  import { forgetPages } from '$lib/client/kept-pages';
  import Field from '$lib/ui/people/Field.svelte';
  import TypedForm from '$lib/ui/people/TypedForm.svelte';
  import Notice from '$lib/ui/kit/Notice.svelte';
  import type { ActionData, PageData } from './$types';

  interface Props {
    data: PageData;
    form: ActionData;
  }
  let { data, form }: Props = $props();
  const at = (way: string) => `?/${way}&back=${encodeURIComponent(data.back)}`;
  const refused = (way: string) => (form?.way === way ? form.message : '');
  let person = $state('');
  // whoever comes next has none of this one's pages
  onMount(() => void forgetPages());
</script>

<svelte:head><title>Sign in · Zanjador</title></svelte:head>

<div class="page narrow-page">
  <h1>Sign in</h1>
  <p>Every change and every inspection is recorded under your name.</p>
  {#if data.demo}
    <Notice
      level="attention"
      title="This is the demo"
      text="These people are fictional: select one to sign in. A real shop uses logins: ./zanjador start --own."
    />
    <form class="people" method="POST" action={at('demo')}>
      {#if refused('demo')}<p role="alert">{refused('demo')}</p>{/if}
      {#each data.people as one (one.id)}
        <button
          class="act person"
          class:main={one.id === data.person?.id}
          name="person"
          value={one.id}
        >
          <strong>{one.name}</strong><span>{one.role}</span>
        </button>
      {/each}
    </form>
  {/if}
  {#if data.bench !== null && data.withPin.length > 0}
    <section aria-label={PEOPLE.byPIN}>
      <h2>Sign in with PIN on {data.bench}</h2>
      <TypedForm action={at('pin')} refused={refused('pin')}>
        <fieldset class="names">
          <legend class="label">{PEOPLE.name}</legend>
          {#each data.withPin as one (one.id)}
            <label class="act" class:main={person === one.id}
              ><input
                class="sr-only"
                type="radio"
                name="person"
                value={one.id}
                bind:group={person}
              />{one.name}</label
            >
          {/each}
        </fieldset>
        <Field
          name="pin"
          label={PEOPLE.pIN}
          type="password"
          inputmode="numeric"
          autocomplete="off"
        />
        <button class="act main" disabled={person === ''}>{PEOPLE.comeIn}</button>
      </TypedForm>
    </section>
  {/if}
  <section aria-label="Sign in with password">
    {#if data.demo}<h2>Sign in with password</h2>{/if}
    <TypedForm action={at('password')} refused={refused('password')}>
      <Field name="login" label={PEOPLE.login} autocomplete="username" autocapitalize="none" />
      <Field
        name="password"
        label={PEOPLE.password}
        type="password"
        autocomplete="current-password"
      />
      <button class="act main">{PEOPLE.signIn}</button>
    </TypedForm>
    <p><a href="/who/code">Use a one-time code</a></p>
  </section>
  {#if data.person}
    <form method="POST" action="/who/out">
      <p>
        Signed in: {data.person.name}, {data.person.role}
        <a href="/account">Change password or PIN</a>
        {#if data.person.role === 'lead'}<a href="/people">{PEOPLE.peopleAndBenches}</a>{/if}
      </p>
      <button class="act">Sign out</button>
    </form>
  {/if}
</div>

<style>
  .people {
    display: flex;
    flex-direction: column;
    gap: 10px;
  }
  .person {
    justify-content: space-between;
    min-height: 60px;
    padding: 0 1.2rem;
    font-size: 1.1rem;
  }
  .person span {
    font-weight: 400;
    font-family: 'B612', sans-serif;
    font-size: 0.95rem;
  }
  .names {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
  .names label:focus-within {
    outline: 3px solid var(--dye);
    outline-offset: 2px;
  }
  a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    text-decoration: underline;
  }
</style>
