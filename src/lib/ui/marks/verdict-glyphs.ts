import type { HoleMark } from '../../../core/releases/release-count.ts';
import { circle, diamond, path, square, type Glyph, type Stroke, type Tone } from './glyph.ts';

export type MarkKind = HoleMark | 'on-condition' | 'sending';

const tick = (r: number): string =>
  path`M${-r * 0.45} ${r * 0.05}L${-r * 0.1} ${r * 0.4}L${r * 0.5} ${-r * 0.4}`;

interface Shape {
  line: Tone;
  fill?: Tone;
  body: (r: number) => string;
  /** in it */
  sign?: (r: number) => string;
  /** the sign is filled, not drawn */
  solid?: boolean;
  dash?: string;
}

const SHAPES: Record<MarkKind, Shape> = {
  accept: { line: 'olive-deep', fill: 'olive-soft', body: circle, sign: tick },
  'on-condition': {
    line: 'amber-line',
    fill: 'panel',
    body: circle,
    sign: (r) => path`M0 ${-r}A${r} ${r} 0 0 1 0 ${r}Z`,
    solid: true
  },
  'not-complete': {
    line: 'olive-deep',
    fill: 'panel',
    body: circle,
    sign: (r) => path`M0 0V${-r}A${r} ${r} 0 0 1 ${r} 0Z`,
    solid: true
  },
  'drive-more': {
    line: 'amber-line',
    fill: 'amber-soft',
    body: (r) => path`M0 ${-r * 1.15}L${r * 1.15} ${r * 0.85}H${-r * 1.15}Z`,
    sign: (r) => path`M0 ${-r * 0.3}V${r * 0.6}M${-r * 0.45} ${r * 0.15}H${r * 0.45}`
  },
  replace: {
    line: 'brick-line',
    fill: 'brick-soft',
    body: square,
    sign: (r) =>
      path`M${-r * 0.45} ${-r * 0.45}L${r * 0.45} ${r * 0.45}M${r * 0.45} ${-r * 0.45}L${-r * 0.45} ${r * 0.45}`
  },
  refer: {
    line: 'dye',
    fill: 'dye-soft',
    body: (r) => diamond(r * 1.25),
    sign: (r) => path`M0 ${-r * 0.55}V${r * 0.15}M0 ${r * 0.5}V${r * 0.56}`
  },
  measure: {
    line: 'amber-line',
    fill: 'panel',
    body: circle,
    sign: (r) =>
      path`M${-r * 0.55} 0H${r * 0.55}M${-r * 0.55} ${-r * 0.3}V${r * 0.3}M${r * 0.55} ${-r * 0.3}V${r * 0.3}`
  },
  left: {
    line: 'olive-deep',
    fill: 'olive-soft',
    body: (r) => diamond(r * 1.25),
    sign: tick
  },
  out: {
    line: 'ink',
    body: (r) => circle(r * 0.7),
    sign: (r) => path`M0 ${-r * 1.2}V${r * 1.2}M${-r * 1.2} 0H${r * 1.2}`
  },
  'to-do': { line: 'line-strong', fill: 'panel', body: circle },
  sending: { line: 'ink-soft', fill: 'panel', body: circle, dash: '3 3' }
};

/** What came of a head, as a shape. */
export function verdictGlyph(kind: MarkKind, r: number): Glyph {
  const { line, fill, body, sign, solid, dash } = SHAPES[kind];
  const width = Math.max(1.4, r / 6);
  const drawn: Stroke[] = [
    { d: body(r), line, width, ...(fill ? { fill } : {}), ...(dash ? { dash } : {}) }
  ];
  if (sign) drawn.push({ d: sign(r), ...(solid ? { fill: line } : { line, width }) });
  return drawn;
}
