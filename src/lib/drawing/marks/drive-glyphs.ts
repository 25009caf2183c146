import { circle, path, square, type Glyph, type Stroke } from '../../ui/marks/glyph.ts';

/** Where a rivet stands while a row is driven. */
export type DriveKind = 'next' | 'open' | 'in' | 'more' | 'look';

/** What stands about a rivet while it is driven. */
export interface DriveAbout {
  /** whether the yoke reaches it; null where that is not asked */
  reached: boolean | null;
  holder: boolean;
  /** a tool would touch something */
  touched: boolean;
  /** the set's rim lies on the next head */
  crowded: boolean;
}

const BODY: Record<DriveKind, Omit<Stroke, 'd'>> = {
  next: { fill: 'dye', line: 'dye' },
  open: { fill: 'panel', line: 'ink' },
  in: { fill: 'olive-fill', line: 'olive-fill' },
  more: { fill: 'amber-soft', line: 'amber' },
  look: { fill: 'brick-soft', line: 'brick' }
};
const SIGN: Partial<Record<DriveKind, Stroke>> = {
  in: { d: 'M-3.5 0L-1 3L4 -3.5', line: 'on-olive', width: 2 },
  more: { d: 'M0 -4V4M-4 0H4', line: 'amber', width: 2 },
  look: { d: 'M0 -5V1.5M0 4.5V5', line: 'brick', width: 2 }
};

/** A rivet as it is driven, with what stands about it. */
export function driveGlyph(
  kind: DriveKind,
  r: number,
  { reached, holder, touched, crowded }: DriveAbout
): Glyph {
  const sign = SIGN[kind];
  const about: (Stroke | null)[] = [
    { d: circle(r), ...BODY[kind], width: 1.6 },
    sign ?? null,
    reached === null
      ? null
      : reached
        ? { d: circle(r + 5), line: 'olive-deep', width: 2 }
        : { d: circle(r + 5), line: 'brick', width: 2, dash: '2 4' },
    holder ? { d: square(r + 4), line: 'ink', width: 2 } : null,
    touched ? { d: path`M${-r - 3} ${-r - 3}L${r + 3} ${r + 3}`, line: 'brick', width: 3 } : null,
    crowded ? { d: path`M${-r - 4} ${r + 4}L${r + 4} ${-r - 4}`, line: 'brick', width: 3 } : null,
    kind === 'next' ? { d: circle(r + 8), line: 'dye', width: 3 } : null
  ];
  return about.filter((stroke) => stroke !== null);
}
