import type { StageMark } from '../../core/releases/stages-so-far.ts';

/** A mark as it is written in a list, and what it says. */
export const STAGE_MARKS: Readonly<Record<StageMark, { sign: string; says: string }>> = {
  done: { sign: '✓', says: 'done' },
  begun: { sign: '◐', says: 'begun' },
  blocked: { sign: '✕', says: 'blocked' },
  'not-begun': { sign: '·', says: 'not begun' }
};
