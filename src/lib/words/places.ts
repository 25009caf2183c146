import type { WidthPlace } from '$core/carry/need.ts';
import { lengthInWords, type LengthStyle } from '$core/units/format-length.ts';

/** The place by itself, where there are several. */
export const nameOfPlace = (where: WidthPlace, lengths: LengthStyle): string =>
  where.at === 'side'
    ? `${lengthInWords(where.lengthIn, lengths)} side`
    : placeInWords(where, lengths);

/** Where the rivets of a width are, as one says it after their count. */
export function placeInWords(where: WidthPlace, lengths: LengthStyle): string {
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
      return `on the ${nameOfPlace(where, lengths)}`;
    case 'zone':
      return `in zone ${where.number}`;
  }
}
