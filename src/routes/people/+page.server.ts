import { fail, redirect } from '@sveltejs/kit';
import {
  NewBench,
  NewPerson,
  OfBench,
  OfPerson,
  Presence,
  RoleOf,
  SetRight
} from '$lib/api/people.ts';
import { endBench, trustBench, trustedBenches } from '$lib/server/people/benches';
import { keepBench } from '$lib/server/people/cookies';
import {
  enterPerson,
  managedPeople,
  newCodeFor,
  setActive,
  setRole
} from '$lib/server/people/manage';
import { lastBackup } from '$lib/server/last-backup';
import { readForm } from '$lib/server/read-form';
import { logsAhead, setLogRight } from '$lib/server/streams/set-right';
import type { Outcome } from '$lib/server/outcome';
import type { Actions, PageServerLoad, RequestEvent } from './$types';

/** The door lets leads through, nobody else. */
const leadOf = ({ locals }: Pick<RequestEvent, 'locals'>) => locals.person ?? redirect(303, '/who');

export const load: PageServerLoad = async (event) => {
  const database = event.locals.database();
  return {
    me: leadOf(event),
    managed: await managedPeople(database),
    benches: await trustedBenches(database),
    here: event.locals.bench,
    ahead: await logsAhead(database),
    backup: await lastBackup()
  };
};

const no = (way: string, message: string) => fail(400, { way, message, code: '', to: '' });
const yes = (way: string, code = '', to = '') => ({ way, message: '', code, to });
const told = (way: string, outcome: Outcome<unknown>) =>
  outcome.ok ? yes(way) : no(way, outcome.message);

export const actions: Actions = {
  enter: async (event) => {
    const form = await readForm(event.request, NewPerson);
    if (!form.ok) return no('enter', form.message);
    const entered = await enterPerson(event.locals.database(), form.value, leadOf(event).id);
    return entered.ok
      ? yes('enter', entered.value.code, form.value.login)
      : no('enter', entered.message);
  },
  code: async (event) => {
    const form = await readForm(event.request, OfPerson);
    if (!form.ok) return no('list', form.message);
    const { person } = form.value;
    const given = await newCodeFor(event.locals.database(), person, leadOf(event).id);
    return given.ok ? yes('list', given.value, person) : no('list', given.message);
  },
  role: async (event) => {
    const form = await readForm(event.request, RoleOf);
    if (!form.ok) return no('list', form.message);
    const { person, role } = form.value;
    return told('list', await setRole(event.locals.database(), person, role, leadOf(event).id));
  },
  presence: async (event) => {
    const form = await readForm(event.request, Presence);
    if (!form.ok) return no('list', form.message);
    const { person, active } = form.value;
    return told(
      'list',
      await setActive(event.locals.database(), person, active === 'yes', leadOf(event).id)
    );
  },
  trust: async (event) => {
    const form = await readForm(event.request, NewBench);
    if (!form.ok) return no('bench', form.message);
    const token = await trustBench(event.locals.database(), form.value.name, leadOf(event).id);
    keepBench(event.cookies, event.url, token);
    return yes('bench');
  },
  end: async (event) => {
    const form = await readForm(event.request, OfBench);
    if (!form.ok) return no('bench', form.message);
    const ended = await endBench(event.locals.database(), form.value.bench, leadOf(event).id);
    return ended ? yes('bench') : no('bench', 'This is no longer a shared device');
  },
  setRight: async (event) => {
    const form = await readForm(event.request, SetRight);
    if (!form.ok) return no('ahead', form.message);
    return told('ahead', await setLogRight(event.locals.database(), form.value, leadOf(event).id));
  }
};
