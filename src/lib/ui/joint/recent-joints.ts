import { z } from 'zod';
import { recalled, remember } from '$lib/client/remembered';

const Recent = z.array(z.object({ id: z.uuid(), title: z.string() }));
export type RecentJoint = z.output<typeof Recent>[number];
const KEY = 'recent-joints';
const KEPT = 4;

/** The joints that were opened last in this browser, the latest first. */
export const recentJoints = (): RecentJoint[] => recalled(KEY, Recent) ?? [];

/** Notes that a joint is opened. */
export function noteOpened({ id, title }: RecentJoint): void {
  remember(KEY, [{ id, title }, ...recentJoints().filter((one) => one.id !== id)].slice(0, KEPT));
}
