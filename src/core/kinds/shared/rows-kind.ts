import { z } from 'zod';
import { upTo32nd } from '../../units/ruler.ts';
import { writeDecimal } from '../../units/format-length.ts';
import type { WaySaid } from '../../joint/way-out.ts';
import type { OtherWay, WayToTry } from '../kind.ts';

/** What joints of straight rows pick. */
export const rowsPicked = {
  rows: z.literal([1, 2, 3, 'auto']),
  pattern: z.enum(['in-line', 'staggered'])
};
export const BLANK_ROWS = { rows: 'auto', pattern: 'in-line', widthIn: '' } as const;

/** The fewest rivets within the largest pitch, whatever the shop's school. */
export const FEWEST = { prefer: 'fewest' } as const;
export const HOUSE = { prefer: 'near', nearPitchIn: '' } as const;

/** The schools of pitch and rows, for straight rows. */
export const rowWays = (): OtherWay[] => [
  { name: 'Fewest rivets', change: { ...FEWEST, rows: 'auto', pattern: 'in-line' } },
  { name: 'House pitch', change: { ...HOUSE, rows: 'auto', pattern: 'in-line' } },
  { name: 'Two rows in line', change: { ...FEWEST, rows: 2, pattern: 'in-line' } },
  { name: 'Two rows staggered', change: { ...FEWEST, rows: 2, pattern: 'staggered' } },
  { name: 'Three rows staggered', change: { ...FEWEST, rows: 3, pattern: 'staggered' } }
];

/** A change that reads as it is typed. */
export const plainWay = (
  said: WaySaid,
  change: WayToTry['change'],
  rank: WayToTry['rank'] = 1
): WayToTry => ({ said, change, read: change, rank });

/** A change of one length. */
export const lengthWay = (
  said: WaySaid,
  key: string,
  lengthIn: number,
  rank: WayToTry['rank']
): WayToTry => ({
  rank,
  said,
  change: { [key]: writeDecimal(lengthIn, 0, 6) },
  read: { [key]: lengthIn }
});

export const rowWaysOut = (): WayToTry[] => [
  plainWay({ code: 'rows-chosen' }, { rows: 'auto' }),
  plainWay({ code: 'rows-staggered' }, { pattern: 'staggered' }),
  plainWay({ code: 'rows-in-line' }, { pattern: 'in-line' })
];

/** Widths at which a row of two rivets fits, from the joint's own edge distance outward. */
const widerWays = (
  { widthIn, edgeIn }: { widthIn: number; edgeIn: number | null },
  { diameterIn: D, pitchMinD }: { diameterIn: number; pitchMinD: number }
): WayToTry[] =>
  [edgeIn ?? 0, 2.5 * D, 3 * D].flatMap((edge) => {
    const wideIn = upTo32nd(2 * edge + pitchMinD * D);
    return wideIn > widthIn
      ? [lengthWay({ code: 'widen', widthIn: wideIn }, 'widthIn', wideIn, 3)]
      : [];
  });

/** What every kind of straight rows over a width says alike. */
export const ROWS_OVER_WIDTH = {
  outline: { across: 'widthIn', down: null },
  waysOut: (
    joint: Parameters<typeof widerWays>[0],
    context: Parameters<typeof widerWays>[1]
  ): WayToTry[] => [...rowWaysOut(), ...widerWays(joint, context)],
  otherWays: rowWays,
  given: () => 0
} as const;
