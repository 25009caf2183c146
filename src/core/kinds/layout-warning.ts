import type { WayOut } from '../joint/way-out.ts';

/** What a kind of joint warns of, as a code with its quantities. */
export type LayoutWarningSaid =
  | { code: 'strap-missing' }
  | { code: 'straps-thinner'; strapsIn: number; memberIn: number; of: 'member' | 'skin' }
  | { code: 'insert-corner'; edgeIn: number; edgeMinIn: number }
  | { code: 'crack-longer'; acrossIn: number; downIn: number; cutoutWIn: number; cutoutHIn: number }
  | { code: 'crack-under-flush' }
  | {
      code: 'divided-off';
      fromIn: number;
      toIn: number;
      count: number;
      pitchIn: number;
      leastIn: number;
      mostIn: number;
      /** as many new holes as come nearest to what was asked and hold the limits; null where none do */
      nearest: number | null;
    }
  /** by whose word, and how; empty where nobody said */
  | { code: 'solid-in-plastic'; by: string }
  | { code: 'washer-needed'; coverIn: number; leastIn: number };

/** A warning of a kind's layout. */
export interface LayoutWarning {
  level: 'attention' | 'stop';
  said: LayoutWarningSaid;
  ways?: WayOut[];
}
