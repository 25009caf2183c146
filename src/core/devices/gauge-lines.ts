import { MM_PER_IN } from '../units/factors.ts';
import { writeDecimal } from '../units/format-length.ts';

/** What a depth gauge or a caliper says, one line each (docs/depth-gauge.md). Lengths in inches; above the skin is positive. */
export type GaugeLine =
  | { kind: 'id'; name: string; simulated: boolean }
  | { kind: 'zeroed' }
  | { kind: 'flush'; flushnessIn: number; zeroed: boolean }
  /** between the jaws of a caliper, sent when its button is pressed */
  | { kind: 'width'; widthIn: number }
  /** simulated only: where the cage stands */
  | { kind: 'at'; clicks: number }
  /** simulated only: a hole was cut */
  | { kind: 'cut'; clicks: number }
  | { kind: 'ok' }
  | { kind: 'error'; message: string };

const FLUSH = /^FLUSH ([+-]?\d+(?:\.\d+)?) (in|mm)( NOT-ZEROED)?$/;
const WIDTH = /^WIDTH (\d+(?:\.\d+)?) (in|mm)$/;
/** what this program sends; a gauge may send mm */
const UNIT = 'in';
const LONGEST_LINE = 200;
const PLACES = 5;

/** @returns what a line says, or null where it is none of the protocol's */
export function readGaugeLine(line: string): GaugeLine | null {
  const text = line.trim();
  if (text.length > LONGEST_LINE) return null;
  const flush = FLUSH.exec(text);
  if (flush) {
    const value = Number(flush[1]);
    return {
      kind: 'flush',
      flushnessIn: flush[2] === 'mm' ? value / MM_PER_IN : value,
      zeroed: flush[3] === undefined
    };
  }
  const width = WIDTH.exec(text);
  if (width) {
    const value = Number(width[1]);
    return { kind: 'width', widthIn: width[2] === 'mm' ? value / MM_PER_IN : value };
  }
  const [word = '', ...rest] = text.split(' ');
  const said = rest.join(' ');
  if (word === 'ID' && said !== '')
    return {
      kind: 'id',
      name: said.replace(/ SIMULATED$/, ''),
      simulated: / SIMULATED$/.test(said)
    };
  if (text === 'ZEROED') return { kind: 'zeroed' };
  if (text === 'OK') return { kind: 'ok' };
  if ((word === 'AT' || word === 'CUT') && /^-?\d+$/.test(said))
    return { kind: word === 'AT' ? 'at' : 'cut', clicks: Number(said) };
  return word === 'ERROR' ? { kind: 'error', message: said } : null;
}

/** @returns the line that says it */
export function writeGaugeLine(said: GaugeLine): string {
  switch (said.kind) {
    case 'id':
      return `ID ${said.name}${said.simulated ? ' SIMULATED' : ''}`;
    case 'flush': {
      const figure = writeDecimal(said.flushnessIn, 4, PLACES);
      return `FLUSH ${figure.startsWith('-') ? '' : '+'}${figure} ${UNIT}${said.zeroed ? '' : ' NOT-ZEROED'}`;
    }
    case 'width':
      return `WIDTH ${writeDecimal(said.widthIn, 4, PLACES)} ${UNIT}`;
    case 'at':
      return `AT ${said.clicks}`;
    case 'cut':
      return `CUT ${said.clicks}`;
    case 'error':
      return `ERROR ${said.message}`;
    case 'zeroed':
      return 'ZEROED';
    case 'ok':
      return 'OK';
  }
}
