import type { HoleMark } from '../../core/releases/release-count.ts';

/** What each result and state of a hole is called: the only place that has these words. */
export const RESULT_NAMES: Readonly<Record<HoleMark | 'on-condition' | 'sending', string>> = {
  accept: 'accepted',
  'not-complete': 'not complete',
  'on-condition': 'accept if straight and sheets flat',
  'drive-more': 'drive further',
  replace: 'replace',
  refer: 'refer',
  measure: 'measure again',
  out: 'empty hole',
  left: 'left as is (engineering)',
  'to-do': 'not inspected',
  sending: 'sending'
};
