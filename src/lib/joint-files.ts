import { z } from 'zod';

/** Files made from one joint, by the name they are asked for. */
export const JOINT_FILES = [
  'pattern.pdf',
  'pattern.svg',
  'pattern.dxf',
  'marks.csv',
  'joint.json',
  'checklist.pdf',
  'labels.pdf',
  'driving.pdf',
  'record.pdf',
  'record.json',
  'heads.csv'
] as const;
export type JointFileName = (typeof JOINT_FILES)[number];

const oneOf = <const T extends readonly [string, string, ...string[]]>(
  what: string,
  words: string,
  options: T
) =>
  z.enum(options, {
    error: ({ input }) => `${what} is ${words}; "${String(input).slice(0, 20)}" was asked for`
  });

export const PaperName = oneOf('paper', 'a4 or letter', ['a4', 'letter']);

/** How a file is asked for, beside its name. */
export const FileWish = z.object({
  paper: PaperName.default('a4'),
  unit: oneOf('unit', 'in or mm', ['in', 'mm']).default('in'),
  /** one part by its key; else all parts in one */
  part: z.string().max(40).nullable().default(null)
});
export type FileWish = z.output<typeof FileWish>;
/** As it is made where nothing else is asked. */
export const PLAIN_FILE: FileWish = FileWish.parse({});
