import type { ReleaseCount } from '../../core/releases/release-count.ts';
import { holesNamed } from './writing.ts';

export const countDriven = (driven: number, holes: number): string =>
  `${driven} of ${holes} driven`;
export const countInspected = (inspected: number, holes: number): string =>
  `${inspected} of ${holes} inspected`;

/** How far the driving of a release is, in one line. */
export function drivenInWords(count: ReleaseCount): string {
  const { holes, driven, logged, empty, marks } = count;
  // heads were inspected: their rivets are in, and on no record
  if (!logged && marks['to-do'] + empty.length < holes) return 'driving not logged';
  const unlogged = logged ? count.unlogged : [];
  return [
    countDriven(driven, holes),
    ...(unlogged.length > 0 ? [`${unlogged.length} inspected, not logged`] : []),
    ...(empty.length > 0 ? [`${empty.length} empty`] : [])
  ].join(', ');
}

/** How far the inspection of a release is, in one line. */
export function inspectedInWords({ holes, inspected, due, bad, empty }: ReleaseCount): string {
  return [
    countInspected(inspected, holes),
    ...(due.length > 0 ? [`${due.length} due`] : []),
    ...(bad.length > 0 ? [`${bad.length} rejected`] : []),
    ...(empty.length > 0 ? [`${empty.length} empty`] : [])
  ].join(', ');
}

/** What nothing is driven into yet, by hole. */
export const notDrivenInWords = ({ notDriven }: ReleaseCount): string =>
  `${notDriven.length} not driven: ${holesNamed(notDriven)}`;
