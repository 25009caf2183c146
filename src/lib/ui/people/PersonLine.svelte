<script lang="ts">
  import { PEOPLE } from '$lib/words/pages/people';
  import { ROLES, type Role } from '$core/people/rights.ts';
  import type { SubmitFunction } from '@sveltejs/kit';
  import { enhance } from '$app/forms';

  /** One person in the lead’s list: role, how they come in, a new code, gone or back. */
  interface Props {
    person: {
      id: string;
      name: string;
      login: string | null;
      role: Role;
      active: boolean;
      hasPassword: boolean;
      hasPin: boolean;
      codeUntil: string | null;
      open: number;
    };
  }
  let { person }: Props = $props();
  const ways = $derived(
    [
      person.hasPassword ? 'password' : '',
      person.hasPin ? PEOPLE.pIN : '',
      person.codeUntil === null
        ? ''
        : `code until ${new Date(person.codeUntil).toLocaleString([], { dateStyle: 'short', timeStyle: 'short' })}`
    ].filter((way) => way !== '')
  );
  let roleForm = $state<HTMLFormElement>();
  let roleField = $state<HTMLSelectElement>();
  /** what is chosen stands only once it is so: a refusal leaves the role as it was */
  const showRole: SubmitFunction =
    () =>
    async ({ update }) => {
      await update({ reset: false });
      if (roleField) roleField.value = person.role;
    };
</script>

<tr class:gone={!person.active} data-person={person.name}>
  <td><strong>{person.name}</strong>{person.active ? '' : ', has left'}</td>
  <td>{person.login ?? '–'}</td>
  <td>
    <form method="POST" action="?/role" bind:this={roleForm} use:enhance={showRole}>
      <input type="hidden" name="person" value={person.id} />
      <select
        class="field-box"
        name="role"
        bind:this={roleField}
        data-testid="role-of {person.name}"
        aria-label="Role of {person.name}"
        value={person.role}
        disabled={!person.active}
        onchange={() => roleForm?.requestSubmit()}
      >
        {#each ROLES as role (role)}<option value={role}>{role}</option>{/each}
      </select>
    </form>
  </td>
  <td>{ways.join(', ') || '–'}</td>
  <td>{person.open}</td>
  <td>
    <div class="acts">
      {#if person.active && person.login !== null}
        <form method="POST" action="?/code" use:enhance>
          <button class="act small" name="person" value={person.id}
            >New code<span class="sr-only"> for {person.name}</span></button
          >
        </form>
      {/if}
      <form method="POST" action="?/presence" use:enhance>
        <input type="hidden" name="person" value={person.id} />
        <button class="act small" name="active" value={person.active ? 'no' : 'yes'}
          >{person.active ? 'Deactivate' : 'Reactivate'}<span class="sr-only">: {person.name}</span
          ></button
        >
      </form>
    </div>
  </td>
</tr>

<style>
  td {
    padding: 6px 10px;
    border-bottom: 1px solid var(--line);
    vertical-align: middle;
  }
  .gone {
    color: var(--ink-soft);
  }
  .acts {
    display: flex;
    gap: 6px;
  }
  select {
    min-width: 8.5rem;
  }
</style>
