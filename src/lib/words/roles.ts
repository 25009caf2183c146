import type { Right, Role } from '../../core/people/rights.ts';

/** What a right lets one do. */
export const RIGHT_WORDS: Record<Right, string> = {
  look: 'read joints, stock, records and files',
  plan: 'make and change joints, open jobs, practice',
  release: 'release a joint',
  prepare: 'tick steps, set cages and tools, move stock, take cold rivets out',
  drive: 'log driving and its order',
  check: 'record what a head is',
  rework: 'take rivets out, measure holes, put questions and log their answers',
  void: 'void another’s reading, with the reason',
  sign: 'sign a release',
  measure: 'keep the shop’s figures, tools and gauge plates',
  rules: 'change the shop’s rules',
  grade: 'mark coupons',
  'see-people': 'see findings by who drove',
  people: 'enter people, give roles and codes, trust benches'
};

/** Why a door stays shut; null: no role has that right. */
export const mayNotInWords = (role: Role, right: Right | null): string =>
  right === null
    ? 'Nobody may do that.'
    : `To ${RIGHT_WORDS[right]} is not for a ${role} in this shop: somebody who may signs in.`;
