<script lang="ts">
  import { HELP } from '$lib/words/pages/help';
  import { JOBS } from '$lib/words/pages/jobs';
  import { superForm } from 'sveltekit-superforms';
  import { onMount, untrack } from 'svelte';
  import { SvelteMap } from 'svelte/reactivity';
  import { tinykeys } from 'tinykeys';
  import { CHIPS, hasChip, stagesOf, stageToOpen, type Chip } from '$lib/api/job-lines.ts';
  import { outsideFields } from '$lib/client/keys';
  import { whenInWords } from '$lib/words/when.ts';
  import Plus from '@lucide/svelte/icons/plus';
  import JointRow from '$lib/ui/joint/JointRow.svelte';
  import { asksNothing, jobsShown, openAtFirst, type JobOrder } from '$lib/ui/joint/jobs-shown.ts';
  import { recentJoints, type RecentJoint } from '$lib/ui/joint/recent-joints.ts';
  import StageHeads from '$lib/ui/joint/StageHeads.svelte';
  import Pick from '$lib/ui/kit/Pick.svelte';
  import Sheet from '$lib/ui/kit/Sheet.svelte';
  import TextField from '$lib/ui/kit/TextField.svelte';
  import Toggles from '$lib/ui/kit/Toggles.svelte';
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
  const LAST_OPENED = 3;

  let text = $state('');
  let chips = $state<Chip[]>([]);
  let order = $state<JobOrder>('number');
  let search = $state<HTMLInputElement>();
  let at = $state('');
  const asked = $derived({ text, chips, order });
  const jobs = $derived(jobsShown(data.jobs, asked));
  const all = $derived(data.jobs.flatMap(({ joints }) => joints));
  const options = $derived(
    CHIPS.map((value) => ({
      value,
      text: JOBS.chips[value],
      more: String(all.filter((joint) => hasChip(joint, value)).length)
    }))
  );
  const needing = $derived(
    data.jobs
      .filter(({ practice }) => !practice)
      .flatMap((job) => job.joints.filter(({ needs }) => needs.length > 0))
  );
  /** jobs that somebody opened or folded, which holds until the page is left */
  const folds = new SvelteMap<string, boolean>();
  const openFirst = $derived(openAtFirst(jobs));
  const isOpen = (id: string) => folds.get(id) ?? (asksNothing(asked) ? openFirst.has(id) : true);

  let recent = $state.raw<RecentJoint[]>([]);
  onMount(() => {
    recent = recentJoints();
    return tinykeys(window, {
      '/': outsideFields(() => search?.focus())
    });
  });
  /** those opened last that are still in a list, with where they are gone on with */
  const lastOpened = $derived(
    recent.flatMap(({ id }) => all.find((joint) => joint.id === id) ?? []).slice(0, LAST_OPENED)
  );
</script>

<svelte:head><title>{JOBS.bench} · Zanjador</title></svelte:head>

<div class="page jobs">
  <header>
    <div>
      <h1>{data.archive ? JOBS.archive : JOBS.bench}</h1>
      <p class="hint">
        {data.person ? `${data.person.name}, ${data.person.role}` : 'Not signed in.'}
      </p>
    </div>
    <div class="begin">
      <form
        method="POST"
        action="?/practice"
        onsubmit={() => (at = whenInWords(new Date().toISOString()))}
      >
        <input type="hidden" name="at" value={at} />
        <button
          class="act"
          data-hint="Practice only: no job, no approved data. Its plan can be copied to a job."
          >{JOBS.practiceJoint}</button
        >
      </form>
      <button class="act main" type="button" onclick={() => (adding = true)}
        ><Plus size={20} /> {JOBS.newJob}</button
      >
    </div>
  </header>

  <div class="ask">
    <label class="find"
      ><span class="sr-only">{JOBS.search}</span>
      <input
        class="field-box"
        type="search"
        placeholder="{JOBS.search} (/)"
        bind:this={search}
        bind:value={text}
      /></label
    >
    <Pick
      label={JOBS.order}
      value={order}
      options={[
        { value: 'number', text: 'newest job' },
        { value: 'saved', text: 'last changed' },
        { value: 'title', text: 'title' }
      ]}
      onchoose={(value) => (order = value)}
    />
  </div>
  <Toggles label="Show only" value={chips} {options} onchange={(value) => (chips = value)} />

  {#if lastOpened.length > 0 && asksNothing(asked) && !data.archive}
    <p class="recent" data-testid="recent">
      <span class="label">{JOBS.lastOpened}</span>
      {#each lastOpened as joint (joint.id)}<a
          class="act small"
          href="/joints/{joint.id}/{stageToOpen(stagesOf(joint.stages))}">{joint.title}</a
        >{/each}
    </p>
  {/if}
  {#if needing.length > 0 && asksNothing(asked) && !data.archive}
    <section aria-labelledby="needs" class="list">
      <h2 id="needs">{JOBS.needsAttention}</h2>
      {#each needing as joint (joint.id)}<JointRow {joint} whole />{/each}
    </section>
  {/if}

  <StageHeads />
  <section aria-label={JOBS.allJobs} class="all">
    {#each jobs as job (job.id)}
      <article class="list">
        <div class="head">
          <button
            type="button"
            aria-expanded={isOpen(job.id)}
            data-testid="fold-{job.number}"
            onclick={() => folds.set(job.id, !isOpen(job.id))}
          >
            <span aria-hidden="true">{isOpen(job.id) ? '▾' : '▸'}</span>
            <h2>{job.number} {job.title}</h2>
            <span class="hint where">{job.place}</span>
            <span class="hint"
              >{job.joints.length} {job.joints.length === 1 ? 'joint' : 'joints'}</span
            >
          </button>
          <a class="act small" aria-label="{JOBS.openJob} {job.number}" href="/jobs/{job.id}"
            >{JOBS.openJob}</a
          >
        </div>
        {#if isOpen(job.id)}{#each job.joints as joint (joint.id)}<JointRow {joint} />{/each}{/if}
      </article>
    {:else}
      <p>
        {asksNothing(asked)
          ? 'No jobs yet. Add a job and lay out its first joint, or try a practice joint.'
          : 'No joint matches.'}
      </p>
    {/each}
  </section>

  <footer class="hint">
    {#if data.archive}<a href="/">{JOBS.openJobs}</a>
    {:else if data.archived > 0}<a href="/?archive">{JOBS.archive} ({data.archived})</a>{/if}
    Zanjador only advises. Approved data, local rules and the licensed person who signs decide. Eye and
    ear protection for drilling and driving.
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
  .jobs {
    max-width: 1180px;
    gap: 10px;
  }
  header,
  .begin,
  .ask,
  .recent,
  .head {
    display: flex;
    align-items: center;
    gap: 8px;
  }
  header {
    justify-content: space-between;
  }
  .ask {
    align-items: end;
  }
  .find {
    flex: 1;
    max-width: 460px;
  }
  .find input {
    width: 100%;
  }
  .recent {
    flex-wrap: wrap;
  }
  .all {
    display: grid;
    gap: 8px;
  }
  .list {
    border: 1.5px solid var(--line);
    border-radius: 10px;
    background: var(--panel);
    overflow: hidden;
  }
  section.list {
    border-left: 5px solid var(--amber-line);
  }
  section.list h2 {
    padding: 6px 14px;
  }
  .head {
    padding-right: 6px;
    background: linear-gradient(var(--metal-light), var(--metal));
  }
  .head button {
    display: flex;
    flex: 1;
    align-items: baseline;
    gap: 10px;
    min-width: 0;
    min-height: 48px;
    padding: 8px 14px;
    text-align: left;
    cursor: pointer;
  }
  .where {
    flex: 1;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .head .hint {
    color: var(--ink);
  }
  .new {
    display: flex;
    flex-direction: column;
    gap: 0.3rem;
  }
  @media (max-width: 700px) {
    header,
    .ask {
      flex-wrap: wrap;
    }
    .where {
      display: none;
    }
    h2 {
      flex: 1;
    }
  }
</style>
