<script lang="ts">
  import { dayInWords } from '$lib/words/when';
  import { PEOPLE } from '$lib/words/pages/people';
  import { ROLES } from '$core/people/rights.ts';
  import LogAhead from '$lib/ui/people/LogAhead.svelte';
  import Field from '$lib/ui/people/Field.svelte';
  import PersonLine from '$lib/ui/people/PersonLine.svelte';
  import TypedForm from '$lib/ui/people/TypedForm.svelte';
  import Notice from '$lib/ui/kit/Notice.svelte';
  import type { ActionData, PageData } from './$types';

  interface Props {
    data: PageData;
    form: ActionData;
  }
  let { data, form }: Props = $props();
  const refused = (way: string) => (form?.way === way ? form.message : '');
  /** whose code was just given, by name or login */
  const codeFor = $derived(
    form?.code
      ? (data.managed.find(({ id, login }) => id === form.to || login === form.to)?.name ?? form.to)
      : ''
  );
</script>

<svelte:head><title>Users and shared devices · Zanjador</title></svelte:head>

<div class="page people">
  <h1>{PEOPLE.peopleAndBenches}</h1>
  {#if data.backup}
    <p data-testid="backup">
      Last backup {new Date(data.backup.at).toLocaleString([], {
        dateStyle: 'medium',
        timeStyle: 'short'
      })}, verified: {data.backup.path}
    </p>
  {:else}
    <Notice
      level="attention"
      title="No backup yet"
      text="Run ./zanjador backup. For nightly backups see docs/deploy.md."
    />
  {/if}
  {#each data.ahead as ahead (`${ahead.log} ${ahead.subject}`)}
    <LogAhead {ahead} refused={refused('ahead')} />
  {/each}
  {#if form?.code}
    <Notice
      testid="code-for {codeFor}"
      level="note"
      title="One-time code for {codeFor} (shown once)"
    >
      <p class="code" data-testid="code">{form.code}</p>
      <p>Works once, for two days. Enter it with the login under “Use a one-time code”.</p>
    </Notice>
  {/if}
  {#if refused('list')}<Notice level="attention" title="Not done" text={refused('list')} />{/if}
  <div class="scrolls-across">
    <table aria-label="People">
      <thead>
        <tr>
          <th>{PEOPLE.name}</th><th>{PEOPLE.login}</th><th>Role</th><th>Sign-in method</th><th
            >Open sessions</th
          ><th><span class="sr-only">Actions</span></th>
        </tr>
      </thead>
      <tbody>
        {#each data.managed as person (person.id)}<PersonLine {person} />{/each}
      </tbody>
    </table>
  </div>
  <div class="halves">
    <section aria-labelledby="enter">
      <h2 id="enter">Add user</h2>
      <TypedForm action="?/enter" refused={refused('enter')}>
        <Field name="name" label={PEOPLE.name} autocomplete="off" maxlength={80} required />
        <Field
          name="login"
          label={PEOPLE.login}
          autocomplete="off"
          autocapitalize="none"
          maxlength={40}
          required
        />
        <label class="label" for="role">Role</label>
        <select class="field-box" id="role" name="role">
          {#each ROLES as role (role)}<option selected={role === 'mechanic'}>{role}</option>{/each}
        </select>
        <button class="act main">{PEOPLE.enterAndGiveACode}</button>
      </TypedForm>
    </section>
    <section aria-labelledby="benches">
      <h2 id="benches">Shared devices (PIN sign-in)</h2>
      <ul>
        {#each data.benches as bench (bench.id)}
          <li>
            <span
              ><strong>{bench.name}</strong>{bench.id === data.here?.id ? ', this one' : ''}
              <span class="hint">added by {bench.by}, {dayInWords(bench.at)}</span></span
            >
            <form method="POST" action="?/end">
              <button class="act small" name="bench" value={bench.id}
                >Remove<span class="sr-only"> {bench.name}</span></button
              >
            </form>
          </li>
        {:else}<li class="hint">No shared devices.</li>{/each}
      </ul>
      {#if data.here === null}
        <TypedForm action="?/trust" refused={refused('bench')}>
          <Field
            name="name"
            label={PEOPLE.nameOfThisDevice}
            maxlength={60}
            hint="Only for devices that stay in the shop. Anyone with a PIN can sign in."
          />
          <button class="act">{PEOPLE.trustThisDevice}</button>
        </TypedForm>
      {/if}
    </section>
  </div>
</div>

<style>
  .people {
    display: flex;
    flex-direction: column;
    gap: 14px;
  }
  .code {
    font-size: 1.6rem;
    letter-spacing: 0.06em;
    font-variant-numeric: tabular-nums;
    user-select: all;
  }
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th {
    text-align: left;
    padding: 6px 10px;
    border-bottom: 1.5px solid var(--line);
  }
  .halves {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(18rem, 1fr));
    gap: 24px;
  }
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 10px;
    min-height: 48px;
  }
</style>
