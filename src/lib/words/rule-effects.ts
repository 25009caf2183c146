import type { AnswerName, AnswerSaid } from '../../core/plan/compare-rules.ts';
import type { LengthStyle } from '../../core/units/format-length.ts';
import { notationInWords } from './arithmetic.ts';
import { placeInWords } from './places.ts';
import { refusalInWords } from './refusals.ts';
import { warningInWords } from './warnings.ts';
import { inStyle } from './writing.ts';

const NAMES = {
  size: 'rivet size',
  holes: 'holes',
  layout: 'layout',
  limits: 'limits broken',
  rivet: 'rivet',
  drill: 'drill',
  protrusion: 'protrusion',
  'stop-at': 'stop driving at'
} as const;

/** What is answered under two profiles. */
export function answerNameInWords(name: AnswerName, style: LengthStyle): string {
  switch (name.what) {
    case 'needed':
      return `rivets needed ${placeInWords(name.where, inStyle(style))}`;
    case 'figure':
      return name.label.toLowerCase();
    case 'rivet':
    case 'drill':
    case 'protrusion':
    case 'stop-at':
      return `${NAMES[name.what]}${name.stack === null ? '' : `, stack ${name.stack}`}`;
    default:
      return NAMES[name.what];
  }
}

/** One answer under a profile. */
export function answerSaidInWords(said: AnswerSaid, style: LengthStyle): string {
  const length = inStyle(style);
  switch (said.is) {
    case 'size':
      return `dash ${said.dash}`;
    case 'count':
      return String(said.count);
    case 'length':
      return length(Number(said.lengthIn.toFixed(4)));
    case 'text':
      return notationInWords(said.text, style);
    case 'band':
      return said.bandD
        ? `${said.bandD.low.toFixed(2)} to ${said.bandD.high.toFixed(2)} D`
        : 'no height';
    case 'refused':
      return refusalInWords(said.why, length);
    case 'stops':
      return said.said.length === 0
        ? 'none'
        : said.said.map((one) => warningInWords({ said: one }, length).title).join('; ');
    case 'nothing':
      return 'not there';
  }
}
