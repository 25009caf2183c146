<script lang="ts">
  import { HELP } from '$lib/words/pages/help';
  import { JOBS } from '$lib/words/pages/jobs';
  import { superForm } from 'sveltekit-superforms';
  import { onMount, untrack } from 'svelte';
  import { SvelteSet } from 'svelte/reactivity';
  import { z } from 'zod';
  import { recalled, remember } from '$lib/client/remembered';
  import Plus from '@lucide/svelte/icons/plus';
  import JointRow from '$lib/ui/joint/JointRow.svelte';
  import Sheet from '$lib/ui/kit/Sheet.svelte';
  import TextField from '$lib/ui/kit/TextField.svelte';
  import type { PageData } from './$types';

  interface Props {
    data: PageData;
  }
  let { data }: Props = $props();
  const { form, errors, message, enhance } = superForm(
    untrack(() => data.form),
    { resetForm: false }
  );
  let adding = $state(false);

  /** so many are in sight at once */
  const FIRST = 3;
  let allNeeds = $state(false);
  const waiting = $derived(
    data.jobs
      .flatMap((job) =>
        job.joints.filter((joint) => joint.attention.length > 0).map((joint) => ({ job, joint }))
      )
      .sort((a, b) => a.joint.urgency - b.joint.urgency)
  );
  const inSight = $derived(allNeeds ? waiting : waiting.slice(0, FIRST));
  const FOLDED = 'folded';
  const folded = new SvelteSet<string>();
  onMount(() => recalled(FOLDED, z.array(z.string()))?.forEach((id) => folded.add(id)));
  function fold(id: string): void {
    if (!folded.delete(id)) folded.add(id);
    remember(FOLDED, [...folded]);
  }
  const stationFor = (state: string) =>
    state === 'signed' ? 'sign' : state === 'checking' || state === 'checked' ? 'inspect' : 'size';
</script>

<svelte:head><title>Bench · Zanjador</title></svelte:head>

<div class="page bench">
  <header>
    <div>
      <h1>{JOBS.bench}</h1>
      <p class="hint">
        {data.person ? `${data.person.name}, ${data.person.role}` : 'Not signed in.'}
      </p>
    </div>
    <div class="begin">
      <form method="POST" action="?/practice">
        <button
          class="act"
          data-hint="Practice only: no job, no approved data. Can be moved to a job later."
          >{JOBS.practiceJoint}</button
        >
      </form>
      <button class="act main" type="button" onclick={() => (adding = true)}
        ><Plus size={20} /> {JOBS.newJob}</button
      >
    </div>
  </header>

  {#if waiting.length > 0}
    <section aria-labelledby="needs">
      <h2 id="needs" class="label">Needs attention</h2>
      <ul class="waiting">
        {#each inSight as { job, joint } (joint.id)}
          <li>
            <a href="/joints/{joint.id}/{stationFor(joint.state)}">
              <strong>{joint.title}</strong>
              <span class="hint">job {job.number}</span>
              <span class="why">△ {joint.attention.join(' · ')}</span>
            </a>
          </li>
        {/each}
      </ul>
      {#if waiting.length > FIRST}
        <button
          class="act all"
          type="button"
          aria-expanded={allNeeds}
          onclick={() => (allNeeds = !allNeeds)}
          >{allNeeds ? 'Show fewer' : `Show ${waiting.length - FIRST} more`}</button
        >
      {/if}
    </section>
  {/if}

  <section aria-labelledby="jobs">
    <h2 id="jobs" class="label">All jobs</h2>
    {#each data.jobs as job (job.id)}
      <article>
        <div class="head">
          <a class="job" href="/jobs/{job.id}">
            <span class="number">{job.number}</span>
            <span class="what">
              <strong>{job.title}</strong>
              <span class="hint">{job.place} · Approved data: {job.data}</span>
            </span>
            <span class="hint"
              >{job.joints.length} {job.joints.length === 1 ? 'joint' : 'joints'}</span
            >
          </a>
          <a class="act" href="/jobs/{job.id}#new">New joint</a>
          {#if job.joints.length > 0}
            <button
              class="act small"
              type="button"
              aria-expanded={!folded.has(job.id)}
              data-testid="fold-{job.number}"
              aria-label="{folded.has(job.id) ? 'Expand' : 'Collapse'} job {job.number}"
              onclick={() => fold(job.id)}>{folded.has(job.id) ? '▸' : '▾'}</button
            >
          {/if}
        </div>
        {#if !folded.has(job.id)}
          {#each job.joints as joint (joint.id)}
            <JointRow {joint} brief />
          {/each}
        {/if}
      </article>
    {:else}
      <p>No jobs yet. Add a job and lay out its first joint, or try a practice joint.</p>
    {/each}
  </section>

  <footer class="hint">
    Zanjador only advises. Approved data, local rules and the licensed person who signs decide. Eye
    and ear protection for drilling and driving.
    <a href="/help/glossary">{HELP.glossary}</a>
  </footer>
</div>

<Sheet title={JOBS.newJob} open={adding || $message !== undefined} onclose={() => (adding = false)}>
  <form method="POST" action="?/open" use:enhance class="new">
    {#if $message}<p class="warns" role="alert">{$message}</p>{/if}
    <TextField
      name="number"
      label={JOBS.jobNumber}
      bind:value={$form.number}
      errors={$errors.number}
    />
    <TextField
      name="title"
      label={JOBS.whatIsRepaired}
      bind:value={$form.title}
      errors={$errors.title}
    />
    <TextField
      name="place"
      label={JOBS.aircraftAndPlace}
      bind:value={$form.place}
      errors={$errors.place}
    />
    <TextField
      name="data"
      testid="approved-data"
      label="Approved data (reference)"
      hint="drawing, repair sheet or manual section"
      bind:value={$form.data}
      errors={$errors.data}
    />
    <button class="act main">{JOBS.openTheJob}</button>
  </form>
</Sheet>

<style>
  .bench {
    max-width: 1120px;
  }
  header {
    display: flex;
    justify-content: space-between;
    align-items: center;
  }
  h1 {
    font-size: 1.8rem;
  }
  section {
    display: flex;
    flex-direction: column;
    gap: 0.6rem;
  }
  .waiting {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(320px, 1fr));
    gap: 10px;
  }
  .waiting a {
    display: grid;
    grid-template-columns: 1fr auto;
    align-content: start;
    gap: 2px 8px;
    height: 100%;
    padding: 10px 14px;
    border-radius: 8px;
    border-left: 5px solid var(--amber-line);
    background: var(--amber-soft);
    color: var(--ink);
    text-decoration: none;
  }
  .why {
    grid-column: 1 / -1;
    color: var(--amber);
  }
  article {
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--panel);
    overflow: hidden;
  }
  .begin,
  .head {
    display: flex;
    align-items: center;
    gap: 8px;
  }
  .head {
    padding-right: 8px;
    background: linear-gradient(var(--metal-light), var(--metal));
  }
  .all {
    align-self: start;
  }
  .job {
    flex: 1;
    min-width: 0;
    display: flex;
    align-items: center;
    gap: 1rem;
    min-height: 58px;
    padding: 8px 14px;
    color: inherit;
    text-decoration: none;
  }
  .number {
    font-family: var(--head-font);
    font-weight: 600;
    font-size: 1.5rem;
    font-variant-numeric: tabular-nums;
  }
  .what {
    flex: 1;
    display: flex;
    flex-direction: column;
  }
  .job .hint {
    color: var(--ink);
  }
  .new {
    display: flex;
    flex-direction: column;
    gap: 0.3rem;
  }
  @media (max-width: 700px) {
    .head {
      flex-wrap: wrap;
      justify-content: flex-end;
      padding-bottom: 8px;
    }
    .job {
      flex-basis: 100%;
    }
  }
</style>
