import { describe, expect, it } from 'vitest';
import { may, RIGHTS, Role, ROLES, type Right } from './rights.ts';

/** Who has a right, by hand and from the work: L lead, M mechanic, I inspector, T trainee, S instructor of a school. */
const BY_HAND: Record<Right, string> = {
  look: 'LMITS', // whoever works here reads
  plan: 'LMITS', // on paper nothing is drilled
  release: 'LMI', // from here on it is metal
  prepare: 'LMIT', // steps, tools, rivets: a trainee’s day
  drive: 'LMIT', // a trainee drives, another looks
  inspect: 'LMI', // who learns to see does not call a head good
  rework: 'LMI', // a drilled hole is not made smaller again
  void: 'LI', // that another read wrongly is said by those set over the readings
  sign: 'LMI', // the shop’s rule says which of them
  measure: 'LMI', // all later work rests on these figures
  rules: 'L', // one school for everyone
  grade: 'LS', // those who teach
  'see-people': 'L', // findings by name are for whoever leads
  people: 'L' // who lets others in answers for their names
};
const LETTERS: Record<Role, string> = {
  lead: 'L',
  mechanic: 'M',
  inspector: 'I',
  trainee: 'T',
  instructor: 'S'
};

describe('rights', () => {
  it('are those of the table by hand, right by right and role by role', () => {
    expect(Object.keys(RIGHTS).sort()).toEqual(Object.keys(BY_HAND).sort());
    expect([...ROLES].sort()).toEqual(Object.keys(LETTERS).sort());
    for (const [right, who] of Object.entries(BY_HAND))
      for (const role of ROLES)
        expect(may(role, right as Right), `${right} by ${role}`).toBe(who.includes(LETTERS[role]));
  });

  it('know no other roles, and say which there are', () => {
    const wrong = Role.safeParse('owner');
    expect(wrong.error?.issues[0]?.message).toBe(
      'a role is lead, mechanic, inspector, trainee or instructor'
    );
  });
});
