import type { TypedAccess } from './access-fields';

/** A place that one recognizes; what its picture says is answered, and nothing else. */
export interface AccessPreset {
  key: 'bench' | 'stringer' | 'flange' | 'closed';
  name: string;
  /** what the picture says, in words */
  says: string;
  answers: Pick<TypedAccess, 'faceDown' | 'armsReach' | 'closedMember'>;
  /** what only the person at the bench knows */
  next: string;
}

export const ACCESS_PRESETS: readonly AccessPreset[] = [
  {
    key: 'bench',
    name: 'Open lap on the bench',
    says: 'One person reaches both sides. It lies face down.',
    answers: { armsReach: true, faceDown: true, closedMember: false },
    next: 'Enter the free edges on the plan.'
  },
  {
    key: 'stringer',
    name: 'Skin on a stringer',
    says: 'Stays on the structure. Not closed.',
    answers: { armsReach: null, faceDown: false, closedMember: false },
    next: 'Say whether one person reaches both sides. Add the stringer’s leg on the plan.'
  },
  {
    key: 'flange',
    name: 'Flange from one side',
    says: 'Two people, one on each side. Stays on the structure. Not closed.',
    answers: { armsReach: false, faceDown: false, closedMember: false },
    next: 'Add the web on the plan; enter the flange’s free edge.'
  },
  {
    key: 'closed',
    name: 'Inside a closed member',
    says: 'Reached only from the member’s end.',
    answers: { armsReach: false, faceDown: false, closedMember: true },
    next: 'Enter the member’s heights and walls.'
  }
];

/** Whether what is answered is still what a picture says. */
export const saysSo = ({ answers }: AccessPreset, typed: TypedAccess): boolean =>
  Object.entries(answers).every(
    ([question, answer]) => answer === null || typed[question as keyof typeof answers] === answer
  );
