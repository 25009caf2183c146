import { z } from 'zod';
import { recalled, remember } from './remembered';

/** How a screen was measured: it holds for this screen at this zoom only. */
const Measured = z.strictObject({
  pxPerIn: z.number().min(30).max(600),
  ratio: z.number(),
  wide: z.number()
});

const KEY = 'glass';
/** What browsers call an inch, px: a start, rarely true. */
const NOMINAL_PX_PER_IN = 96;

/** The scale at which this screen shows things in their true size. */
export class Glass {
  pxPerIn = $state(NOMINAL_PX_PER_IN);
  /** measured on this screen, at this zoom */
  measured = $state(false);

  /** Takes up what was measured before, where it still holds. */
  restore(): void {
    const kept = recalled(KEY, Measured);
    if (!kept) return;
    this.pxPerIn = kept.pxPerIn;
    this.measured = kept.ratio === window.devicePixelRatio && kept.wide === window.screen.width;
  }

  /** The scale lies on the drawn one, or is about to. */
  set(pxPerIn: number, measured: boolean): void {
    this.pxPerIn = pxPerIn;
    this.measured = measured;
    if (!measured) return;
    const { devicePixelRatio: ratio, screen } = window;
    remember(KEY, { pxPerIn, ratio, wide: screen.width } satisfies z.infer<typeof Measured>);
  }
}
