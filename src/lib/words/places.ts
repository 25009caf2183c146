import type { WidthPlace } from '../../core/size/need.ts';
import type { WriteLength } from './writing.ts';

/** The place by itself, where there are several. */
export const nameOfPlace = (where: WidthPlace, length: WriteLength): string =>
  where.at === 'side' ? `${length(where.lengthIn)} side` : placeInWords(where, length);

/** Where the rivets of a width are, as one says it after their count. */
export function placeInWords(where: WidthPlace, length: WriteLength): string {
  switch (where.at) {
    case 'joint':
      return 'in the joint';
    case 'line':
      return 'along the line';
    case 'member':
      return 'along the member';
    case 'each-half':
      return 'on each half of the rings';
    case 'each-side':
      return where.of === 'break' ? 'on each side of the break' : 'on each side of the joint';
    case 'side':
      return `on the ${nameOfPlace(where, length)}`;
    case 'zone':
      return `in zone ${where.number}`;
  }
}
