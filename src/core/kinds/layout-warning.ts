import type { WayOut } from '../joint/way-out.ts';

/** What a kind of joint warns of, as a code with its quantities. */
export type LayoutWarningSaid =
  | { code: 'strap-missing' }
  | { code: 'straps-thinner'; strapsIn: number; memberIn: number; of: 'member' | 'skin' }
  | { code: 'insert-corner'; edgeIn: number; edgeMinIn: number }
  | { code: 'crack-longer'; acrossIn: number; downIn: number; cutoutWIn: number; cutoutHIn: number }
  | { code: 'crack-under-flush' }
  | { code: 'washer-needed'; coverIn: number; leastIn: number };

/** A warning of a kind's layout. */
export interface LayoutWarning {
  level: 'attention' | 'stop';
  said: LayoutWarningSaid;
  ways?: WayOut[];
}
