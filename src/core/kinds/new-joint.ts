import { KINDS, kindOf, type EnteredOf, type JointKind } from './joint.ts';

/**
 * A new joint of a kind: the rule's rivet, the plainest choices, nothing measured yet.
 *
 * @param metric for somebody who works in millimeters: their ruler
 */
export const newJoint = <K extends JointKind>(kind: K, metric = false): EnteredOf<K> => {
  const blank = kindOf({ kind }).blank as EnteredOf<K>;
  return metric ? { ...blank, scale: '1mm' } : blank;
};

/** Every kind in the order they are offered. */
export const JOINT_KINDS: readonly JointKind[] = KINDS.map(({ key }) => key);
