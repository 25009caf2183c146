<script lang="ts">
  import type { ActionData, PageData } from './$types';

  interface Props {
    data: PageData;
    form: ActionData;
  }
  let { data, form }: Props = $props();
</script>

<svelte:head><title>Who is at the bench? · Zanjador</title></svelte:head>

<div class="page who">
  <h1>Who is at the bench?</h1>
  <p>Every save and every checked head is kept under a name.</p>
  {#if form?.message}<p role="alert">{form.message}</p>{/if}
  <form method="POST" action="?back={encodeURIComponent(data.back)}">
    {#each data.people as person (person.id)}
      <button
        class="act person"
        class:main={person.id === data.person?.id}
        name="person"
        value={person.id}
      >
        <strong>{person.name}</strong><span>{person.role}</span>
      </button>
    {/each}
  </form>
</div>

<style>
  .who {
    max-width: 620px;
  }
  h1 {
    font-size: 1.9rem;
  }
  form {
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
</style>
