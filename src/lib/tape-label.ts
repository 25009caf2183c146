import { z } from 'zod';

/** The tapes that label printers hold, mm wide. */
export const TAPE_WIDTHS = [12, 18, 24] as const;
export type TapeWidth = (typeof TAPE_WIDTHS)[number];

/** A tape as an address names it. */
export const TapeWish = z
  .enum(
    TAPE_WIDTHS.map((width) => String(width) as `${TapeWidth}`),
    {
      error: ({ input }) =>
        `tape is 12, 18 or 24 mm wide; "${String(input).slice(0, 20)}" was asked for`
    }
  )
  .default('18')
  .transform((width) => Number(width) as TapeWidth);
