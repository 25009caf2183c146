<script lang="ts">
  import { JOBS } from '$lib/words/pages/jobs';
  import { COMMON } from '$lib/words/pages/common';
  import { onMount, untrack } from 'svelte';
  import { superForm } from 'sveltekit-superforms';
  import { kindOf } from '$core/kinds/joint.ts';
  import { JOINT_KINDS } from '$core/kinds/new-joint.ts';
  import BillTable from '$lib/ui/joint/BillTable.svelte';
  import KindPicture from '$lib/ui/joint/KindPicture.svelte';
  import Notice from '$lib/ui/kit/Notice.svelte';
  import StageHeads from '$lib/ui/joint/StageHeads.svelte';
  import JointRow from '$lib/ui/joint/JointRow.svelte';
  import TextField from '$lib/ui/kit/TextField.svelte';
  import type { ActionData, PageData } from './$types';

  interface Props {
    data: PageData;
    form: ActionData;
  }
  let { data, form: answer }: Props = $props();
  const refused = $derived(answer && 'refused' in answer ? answer.refused : undefined);
  const notDone = $derived(answer && 'notCopied' in answer ? answer.notCopied : undefined);
  let making = $state<HTMLFormElement>();
  /** to the name of the new joint; the kinds stand above it */
  function beginNew(event?: MouseEvent): void {
    event?.preventDefault();
    making?.scrollIntoView({ block: 'start' });
    making?.querySelector<HTMLInputElement>('input[name=title]')?.focus({ preventScroll: true });
  }
  onMount(() => {
    if (location.hash === '#new') beginNew();
  });
  const { form, errors, enhance } = superForm(untrack(() => data.form));
</script>

<svelte:head><title>Job {data.job.number} · Zanjador</title></svelte:head>

<div class="page job">
  <p class="hint"><a class="back" href="/">{JOBS.bench}</a> / job {data.job.number}</p>
  <div class="head">
    <h1><span class="number">{data.job.number}</span> {data.job.title}</h1>
    <a class="act" href="#new" onclick={beginNew}>New joint</a>
  </div>
  <p>{data.job.place} · data: {data.job.data}</p>
  {#if data.practice}
    <Notice
      level="note"
      title={JOBS.forPractice}
      text="A practice joint is released, driven and inspected like any other. It is not signed, takes nothing from stock and qualifies no setting. To build one, copy its plan to a job."
    />
    {#if data.job.joints.length > 0 && data.practice.length > 0}
      <form method="POST" action="?/copy" class="copy">
        <label
          ><span class="label">Joint</span>
          <select class="field-box" name="joint">
            {#each data.job.joints as joint (joint.id)}<option value={joint.id}
                >{joint.title}</option
              >{/each}
          </select></label
        >
        <label
          ><span class="label">{JOBS.underJob}</span>
          <select class="field-box" name="job">
            {#each data.practice as job (job.id)}<option value={job.id}
                >{job.number} {job.title}</option
              >{/each}
          </select></label
        >
        <label
          ><span class="label">{JOBS.newName}</span>
          <input class="field-box" name="title" required maxlength="80" /></label
        >
        <button class="act">{JOBS.copyPlan}</button>
      </form>
      <p class="hint">
        Only the plan is copied. Releases, steps, driving, inspections and settings stay with the
        practice joint.
      </p>
    {/if}
    {#if notDone}<Notice level="stop" title="Not copied" text={notDone} />{/if}
  {/if}

  <StageHeads />
  <section class="joints" aria-label="Joints">
    {#each data.job.joints as joint (joint.id)}
      <JointRow {joint} />
    {:else}
      <p class="empty">
        {JOBS.noJointYetNameThe}
      </p>
    {/each}
  </section>

  {#if data.job.joints.length > 0 && !data.practice}
    <section class="bill" aria-labelledby="bill">
      <h2 id="bill" class="label">Rivet list, whole job</h2>
      <BillTable bill={data.rivets.bill} />
      {#if data.rivets.open.length > 0}
        <p class="hint">Not counted yet: {data.rivets.open.join(', ')}.</p>
      {/if}
      <p>
        <a class="act" href="/api/jobs/{data.job.id}/bill.csv" download>{COMMON.asATableCSV}</a>
        <a class="act" href="/stock">Open stock</a>
      </p>
    </section>
  {/if}

  <form method="POST" action="?/make" use:enhance class="make" id="new" bind:this={making}>
    <fieldset>
      <legend class="label">Joint type</legend>
      <div class="kinds">
        {#each JOINT_KINDS as kind (kind)}
          <label class:on={$form.kind === kind}>
            <input type="radio" name="kind" value={kind} bind:group={$form.kind} class="sr-only" />
            <KindPicture {kind} />
            <span>{kindOf({ kind }).name}</span>
          </label>
        {/each}
      </div>
    </fieldset>
    <div class="name">
      <TextField
        name="title"
        label="New {kindOf($form).name}"
        hint="Location as on the drawing"
        bind:value={$form.title}
        errors={$errors.title}
      />
      <button class="act main">Start joint</button>
    </div>
  </form>
  <form method="POST" action="?/fromFile" enctype="multipart/form-data" class="file">
    <label>
      <span class="label">Or import a joint file (.json)</span>
      <input type="file" name="file" accept=".json,application/json" />
    </label>
    <button class="act">{JOBS.openIt}</button>
  </form>
  {#if refused}<Notice level="stop" title="Import failed" text={refused} />{/if}
  {#if !data.practice}
    <form method="POST" action="?/{data.closedAt === null ? 'close' : 'reopen'}">
      <button
        class="act"
        data-hint="A closed job leaves the list; it stays in the archive with everything it has."
        >{data.closedAt === null ? JOBS.closeJob : JOBS.reopenJob}</button
      >
    </form>
  {/if}
</div>

<style>
  .job {
    max-width: 980px;
  }
  .head {
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 10px;
  }
  .copy {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 10px;
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
  .bill {
    padding: 12px 16px;
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--panel);
  }
  .bill p {
    padding-top: 8px;
  }
  .make {
    display: grid;
    gap: 0.8rem;
  }
  .kinds {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
    gap: 8px;
    margin-top: 4px;
  }
  .kinds label {
    display: grid;
    justify-items: center;
    gap: 4px;
    padding: 10px 6px;
    border: 1.5px solid var(--line-strong);
    border-radius: 10px;
    background: var(--panel);
    text-align: center;
    line-height: 1.25;
    cursor: pointer;
  }
  .kinds .on {
    border-color: var(--ink);
    border-width: 2.5px;
    background: var(--olive-soft);
  }
  .kinds label:focus-within {
    outline: 3px solid var(--dye);
    outline-offset: 2px;
  }
  .name,
  .file {
    display: grid;
    grid-template-columns: minmax(0, 420px) auto;
    align-items: center;
    justify-content: start;
    gap: 0.8rem;
  }
  .file label {
    display: grid;
  }
  .file input {
    min-height: 44px;
    padding: 8px;
    border: 1.5px dashed var(--line-strong);
    border-radius: 8px;
  }
</style>
