import type { Answer } from '../answer.ts';
import type { Dash } from '../schema/fields.ts';
import type { Needed } from './needed.ts';

/** Where the rivets of one width are. */
export type WidthPlace =
  | { at: 'joint' | 'line' | 'member' | 'each-half' }
  | { at: 'each-side'; of: 'break' | 'joint' }
  | { at: 'side'; lengthIn: number }
  | { at: 'zone'; number: number };

/** One width of the joint that rivets must carry. */
export interface Need {
  key: string;
  where: WidthPlace;
  widthIn: number;
  dash: Dash;
  required: Answer<Needed>;
}
