import { hasChip, type Chip, type JobLine, type JointLine } from '$lib/api/job-lines.ts';

export type JobOrder = 'number' | 'saved' | 'title';

/** What the list of jobs is asked for. */
export interface JobsAsked {
  text: string;
  chips: readonly Chip[];
  order: JobOrder;
}

const plain = (text: string): string => text.normalize('NFKD').toLowerCase();
const lastSaved = ({ joints }: Pick<JobLine, 'joints'>): number =>
  Math.max(-Infinity, ...joints.map(({ savedMs }) => savedMs));

const ORDERS: Readonly<Record<JobOrder, (a: JobLine, b: JobLine) => number>> = {
  number: (a, b) => b.number.localeCompare(a.number, 'en', { numeric: true }),
  saved: (a, b) => lastSaved(b) - lastSaved(a),
  title: (a, b) => a.title.localeCompare(b.title)
};

/** Whether nothing is asked: then every job stands there, with joints or without. */
export const asksNothing = ({ text, chips }: JobsAsked): boolean =>
  text.trim() === '' && chips.length === 0;

/**
 * The jobs that are asked for, with those of their joints that are: each word is in the joint’s name or rivets, or in its job’s
 * number, title or place. Practice comes last in every order.
 */
export function jobsShown(jobs: readonly JobLine[], asked: JobsAsked): JobLine[] {
  const words = plain(asked.text).split(/\s+/).filter(Boolean);
  const has = (text: string) => words.every((word) => text.includes(word));
  const shown = (job: JobLine, joint: JointLine): boolean =>
    asked.chips.every((chip) => hasChip(joint, chip)) &&
    has(plain(`${joint.title} ${joint.parts} ${job.number} ${job.title} ${job.place}`));
  return jobs
    .map((job) => ({ ...job, joints: job.joints.filter((joint) => shown(job, joint)) }))
    .filter(({ joints }) => asksNothing(asked) || joints.length > 0)
    .sort((a, b) => Number(a.practice) - Number(b.practice) || ORDERS[asked.order](a, b));
}

/** So many joints stand open at once; jobs beyond are folded until somebody opens them. */
const OPEN_JOINTS = 16;

/** The jobs that are open at first: from the top, until enough joints stand there. */
export function openAtFirst(jobs: readonly JobLine[]): ReadonlySet<string> {
  const open = new Set<string>();
  let joints = 0;
  for (const job of jobs) {
    if (joints > 0 && joints + job.joints.length > OPEN_JOINTS) break;
    joints += job.joints.length;
    open.add(job.id);
  }
  return open;
}
