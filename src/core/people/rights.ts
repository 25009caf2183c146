import { z } from 'zod';

export const Role = z.enum(['lead', 'mechanic', 'inspector', 'trainee', 'instructor'], {
  error: 'a role is lead, mechanic, inspector, trainee or instructor'
});
/** What somebody is in the shop. */
export type Role = z.output<typeof Role>;
export const ROLES: readonly Role[] = Role.options;

/** What somebody may do: each right, and the roles that have it. The program's only table of it. */
export const RIGHTS = {
  /** read everything: joints, stock, records, files */
  look: ['lead', 'mechanic', 'inspector', 'trainee', 'instructor'],
  /** make and change joints, open jobs, practice */
  plan: ['lead', 'mechanic', 'inspector', 'trainee', 'instructor'],
  /** release a joint */
  release: ['lead', 'mechanic', 'inspector'],
  /** tick steps, set cages and tools, move stock, take cold rivets out */
  prepare: ['lead', 'mechanic', 'inspector', 'trainee'],
  /** log driving and its order */
  drive: ['lead', 'mechanic', 'inspector', 'trainee'],
  /** record what a head is */
  inspect: ['lead', 'mechanic', 'inspector'],
  /** take rivets out, measure holes, put questions and log their answers */
  rework: ['lead', 'mechanic', 'inspector'],
  /** say that another’s reading was false; everyone may of their own */
  void: ['lead', 'inspector'],
  sign: ['lead', 'mechanic', 'inspector'],
  /** the shop's own figures, tools and gauge plates */
  measure: ['lead', 'mechanic', 'inspector'],
  /** new versions of the shop's rules */
  rules: ['lead'],
  /** mark coupons of students */
  grade: ['lead', 'instructor'],
  /** see findings by who drove */
  'see-people': ['lead'],
  /** people, their roles and codes; benches that may change hands by PIN */
  people: ['lead']
} as const satisfies Record<string, readonly Role[]>;
export type Right = keyof typeof RIGHTS;

/** Whether a role has a right. */
export const may = (role: Role, right: Right): boolean =>
  (RIGHTS[right] as readonly Role[]).includes(role);
