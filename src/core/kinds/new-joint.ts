import { KINDS, kindOf, type EnteredOf, type JointKind } from './joint.ts';

/** A new joint of a kind: the rule's rivet, the plainest choices, nothing measured yet. */
export const newJoint = <K extends JointKind>(kind: K): EnteredOf<K> =>
  kindOf({ kind }).blank as EnteredOf<K>;

/** Every kind in the order they are offered. */
export const JOINT_KINDS: readonly JointKind[] = KINDS.map(({ key }) => key);
