/** Files made from one joint, by the name they are asked for. */
export const JOINT_FILES = [
  'pattern.pdf',
  'pattern.svg',
  'pattern.dxf',
  'marks.csv',
  'joint.json',
  'checklist.pdf',
  'labels.pdf'
] as const;
export type JointFileName = (typeof JOINT_FILES)[number];
