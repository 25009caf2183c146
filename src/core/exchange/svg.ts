import type { Pattern, PatternLayer, Stroke } from './pattern.ts';

const STYLE: Record<PatternLayer, string> = {
  EDGES: 'stroke="#1f262b" stroke-width="0.014"',
  HOLES: 'stroke="#1f262b" stroke-width="0.008"',
  HELD_OPEN: 'stroke="#8a4b05" stroke-width="0.016" stroke-dasharray="0.04 0.03"',
  CUT_OUT: 'stroke="#1f262b" stroke-width="0.014" stroke-dasharray="0.12 0.05"',
  LINES: 'stroke="#2a4694" stroke-width="0.005"',
  TEXT: 'fill="#1f262b"',
  WARNINGS: 'fill="#8c2f1b" font-weight="bold"'
};

const n = (value: number): string => String(Number(value.toFixed(6)));
const escaped = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');

function element(stroke: Stroke): string {
  switch (stroke.stroke) {
    case 'line':
      return `<line x1="${n(stroke.x1In)}" y1="${n(stroke.y1In)}" x2="${n(stroke.x2In)}" y2="${n(stroke.y2In)}"/>`;
    case 'circle':
      return `<circle cx="${n(stroke.xIn)}" cy="${n(stroke.yIn)}" r="${n(stroke.radiusIn)}"/>`;
    case 'arc': {
      const at = (rad: number) =>
        `${n(stroke.xIn + stroke.radiusIn * Math.cos(rad))} ${n(stroke.yIn + stroke.radiusIn * Math.sin(rad))}`;
      return `<path d="M${at(stroke.fromRad)}A${n(stroke.radiusIn)} ${n(stroke.radiusIn)} 0 0 1 ${at(stroke.toRad)}"/>`;
    }
    case 'text':
      return `<text x="${n(stroke.xIn)}" y="${n(stroke.yIn)}" font-size="${n(stroke.heightIn)}" font-family="sans-serif">${escaped(stroke.text)}</text>`;
  }
}

/** A pattern as an SVG file, full size: one user unit is one inch. */
export function svgPattern(pattern: Pattern, title: string): string {
  const { strokes, notes, xIn, yIn, wIn, hIn } = pattern;
  const layers = [...new Set(strokes.map(({ layer }) => layer))];
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(wIn)}in" height="${n(hIn)}in" viewBox="${n(xIn)} ${n(yIn)} ${n(wIn)} ${n(hIn)}" fill="none">`,
    `<title>${escaped(title)}</title>`,
    ...(notes.length > 0 ? [`<desc>${escaped(notes.join(' '))}</desc>`] : []),
    ...layers.map(
      (layer) =>
        `<g id="${layer}" ${STYLE[layer]}>${strokes
          .filter((stroke) => stroke.layer === layer)
          .map(element)
          .join('')}</g>`
    ),
    '</svg>',
    ''
  ].join('\n');
}
