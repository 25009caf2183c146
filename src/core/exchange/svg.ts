import type { Pattern } from './pattern.ts';
import { layerName, pathData, type PatternLayer, type Stroke } from './strokes.ts';

/** User units an inch: text a tenth of a unit high is not drawn by every reader, text a hundred high is. */
const PER_IN = 1000;

const STYLE: Record<PatternLayer, string> = {
  EDGES: 'stroke="#1f262b" stroke-width="14"',
  CUT_OUT: 'stroke="#1f262b" stroke-width="14" stroke-dasharray="120 50"',
  RELIEFS: 'stroke="#1f262b" stroke-width="14"',
  STOP_DRILL: 'stroke="#8c2f1b" stroke-width="14"',
  HOLES: 'stroke="#1f262b" stroke-width="8"',
  EXISTING: 'stroke="#1f262b" stroke-width="8" stroke-dasharray="20 15"',
  REPLACED: 'stroke="#8c2f1b" stroke-width="12"',
  HELD_OPEN: 'stroke="#8a4b05" stroke-width="16" stroke-dasharray="40 30"',
  PILOTS: 'stroke="#5c6670" stroke-width="5"',
  LAYER_ENDS: 'stroke="#1f262b" stroke-width="10" stroke-dasharray="180 40 40 40"',
  LINES: 'stroke="#2a4694" stroke-width="5"',
  MARKS: 'stroke="#1f262b" stroke-width="6" fill="none"',
  TEXT: 'fill="#1f262b"',
  WARNINGS: 'fill="#8c2f1b" font-weight="bold"'
};

const n = (value: number): string => String(Number(value.toFixed(3)));
const u = (inches: number): string => n(inches * PER_IN);
const escaped = (text: string): string =>
  text
    // eslint-disable-next-line no-control-regex -- XML has no place for these, however they are written
    .replace(/[\x00-\x08\x0b\x0c\x0e-\x1f\ufffe\uffff]/g, ' ')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;');

function element(stroke: Stroke): string {
  switch (stroke.stroke) {
    case 'line':
      return `<line x1="${u(stroke.x1In)}" y1="${u(stroke.y1In)}" x2="${u(stroke.x2In)}" y2="${u(stroke.y2In)}"/>`;
    case 'circle':
      return `<circle cx="${u(stroke.xIn)}" cy="${u(stroke.yIn)}" r="${u(stroke.radiusIn)}"/>`;
    case 'path':
      return `<path d="${pathData(stroke, PER_IN, n)}"/>`;
    case 'text':
      return `<text x="${u(stroke.xIn)}" y="${u(stroke.yIn)}" font-size="${u(stroke.heightIn)}" font-family="sans-serif" stroke="none"${stroke.layer === 'MARKS' ? ' fill="#1f262b"' : ''}>${escaped(stroke.text)}</text>`;
  }
}

/**
 * A pattern as an SVG file, full size: one user unit is a thousandth of an inch.
 *
 * @param title job, joint, revision and part; @param notes what stops the joint, in words
 */
export function svgPattern(
  { strokes, xIn, yIn, wIn, hIn }: Pattern,
  title: string,
  notes: readonly string[] = []
): string {
  const layers = new Map<string, Stroke[]>();
  for (const stroke of strokes) {
    const on = layers.get(layerName(stroke)) ?? [];
    on.push(stroke);
    layers.set(layerName(stroke), on);
  }
  const size = (inches: number) => n(inches);
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${size(wIn)}in" height="${size(hIn)}in" viewBox="${u(xIn)} ${u(yIn)} ${n(Number(size(wIn)) * PER_IN)} ${n(Number(size(hIn)) * PER_IN)}" fill="none">`,
    `<title>${escaped(title)}</title>`,
    ...(notes.length > 0 ? [`<desc>${escaped(notes.join(' '))}</desc>`] : []),
    ...[...layers].map(
      ([name, on]) =>
        `<g id="${escaped(name)}" ${STYLE[on[0]?.layer ?? 'EDGES']}>${on.map(element).join('')}</g>`
    ),
    '</svg>',
    ''
  ].join('\n');
}
