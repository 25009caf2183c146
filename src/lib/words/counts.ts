import type { ReleaseCount } from '../../core/releases/release-count.ts';
import { holesNamed } from './writing.ts';

export const countDriven = (driven: number, holes: number): string =>
  `${driven} of ${holes} driven`;
export const countInspected = (inspected: number, holes: number): string =>
  `${inspected} of ${holes} inspected`;

/** Heads were inspected and no driving is logged: their rivets are in, and on no record. */
const neverLogged = ({ logged, marks, empty, holes }: ReleaseCount): boolean =>
  !logged && marks['to-do'] + empty.length < holes;

/** How far the driving of a release is: its figure, and what stands beside it. */
export const drivenParts = (count: ReleaseCount): [figure: string, ...beside: string[]] =>
  neverLogged(count)
    ? ['driving not logged']
    : [
        countDriven(count.driven, count.holes),
        ...(count.logged && count.unlogged.length > 0
          ? [`${count.unlogged.length} inspected, not logged`]
          : []),
        ...(count.empty.length > 0 ? [`${count.empty.length} empty`] : [])
      ];
export const drivenInWords = (count: ReleaseCount): string => drivenParts(count).join(', ');

/** How far the inspection of a release is: its figure, and what stands beside it. */
export const inspectedParts = ({
  holes,
  inspected,
  due,
  bad,
  empty
}: ReleaseCount): [figure: string, ...beside: string[]] => [
  countInspected(inspected, holes),
  ...(due.length > 0 ? [`${due.length} due`] : []),
  ...(bad.length > 0 ? [`${bad.length} rejected`] : []),
  ...(empty.length > 0 ? [`${empty.length} empty`] : [])
];
export const inspectedInWords = (count: ReleaseCount): string => inspectedParts(count).join(', ');

/** What nothing is driven into yet, by hole. */
export const notDrivenInWords = ({ notDriven }: ReleaseCount): string =>
  `${notDriven.length} not driven: ${holesNamed(notDriven)}`;
