import type { Right, Role } from '../../core/people/rights.ts';

/** What a right lets one do. */
export const RIGHT_WORDS: Record<Right, string> = {
  look: 'read joints, stock, records and files',
  plan: 'make and change joints, open jobs, practice',
  release: 'release a joint',
  prepare: 'complete prep steps, set up tools, move stock, take out icebox rivets',
  drive: 'log driving and its order',
  inspect: 'record inspections',
  rework: 'remove rivets, measure holes, refer to engineering, record dispositions',
  void: 'void another’s reading, with the reason',
  sign: 'sign a release',
  measure: 'edit shop times, tools and gauge plates',
  rules: 'change the shop’s rules',
  grade: 'mark coupons',
  'see-people': 'see findings by person',
  people: 'manage users, roles, codes and shared devices'
};

/** Why a door stays shut; null: no role has that right. */
export const mayNotInWords = (role: Role, right: Right | null): string =>
  right === null
    ? 'Not allowed.'
    : `The ${role} role cannot ${RIGHT_WORDS[right]}. Ask someone who can to sign in.`;
