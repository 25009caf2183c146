<script lang="ts">
  import { untrack } from 'svelte';
  import { superForm } from 'sveltekit-superforms';
  import JointRow from '$lib/ui/JointRow.svelte';
  import TextField from '$lib/ui/TextField.svelte';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const { form, errors, enhance } = superForm(untrack(() => data.form));
</script>

<svelte:head><title>Job {data.job.number} · Zanjador</title></svelte:head>

<div class="job">
  <p class="hint"><a href="/">Bench</a> / job {data.job.number}</p>
  <h1><span class="number">{data.job.number}</span> {data.job.title}</h1>
  <p>{data.job.place} · data: {data.job.data}</p>

  <section class="joints" aria-label="Joints">
    {#each data.job.joints as joint (joint.id)}
      <JointRow {joint} />
    {:else}
      <p class="empty">
        No joint yet. Name the first one below: the place, as the drawing calls it.
      </p>
    {/each}
  </section>

  <form method="POST" use:enhance>
    <TextField
      name="title"
      label="New lap joint"
      hint="for example: bottom skin lap, bay 11"
      bind:value={$form.title}
      errors={$errors.title}
    />
    <button class="act main">Lay it out</button>
  </form>
</div>

<style>
  .job {
    display: flex;
    flex-direction: column;
    gap: 0.8rem;
    max-width: 980px;
    margin: 0 auto;
    padding: 1.4rem 2rem;
  }
  .hint a {
    display: inline-block;
    padding: 10px 4px;
    text-decoration: underline;
  }
  h1 {
    font-size: 1.7rem;
  }
  .number {
    color: var(--ink-soft);
    font-variant-numeric: tabular-nums;
  }
  .joints {
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--panel);
    overflow: hidden;
  }
  .joints > :global(:first-child) {
    border-top: 0;
  }
  .empty {
    padding: 1rem;
  }
  form {
    display: grid;
    grid-template-columns: minmax(0, 420px) auto;
    align-items: center;
    justify-content: start;
    gap: 0.8rem;
  }
</style>
