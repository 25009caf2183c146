import { num, type Answer, type WorkLine } from '../../core/answer.ts';
import type { LengthPart, Notation } from '../../core/notation.ts';
import { MM_PER_IN, THOU_PER_IN } from '../../core/units/factors.ts';
import { writeDecimal, type LengthStyle } from '../../core/units/format-length.ts';
import { refusalInWords } from './refusals.ts';
import { inInches, inStyle, type WriteLength } from './writing.ts';

/** A line of arithmetic as one reads it. */
export interface WrittenLine {
  label: string;
  formula: string;
  value: number | string;
  unit: string;
}

/** What a length is multiplied by, and how many places the product keeps, in a line of arithmetic. */
interface ArithmeticUnit {
  name: 'in' | 'mm' | 'thou';
  perInch: number;
  places: number;
}
const INCHES: ArithmeticUnit = { name: 'in', perInch: 1, places: 6 };
const MILLIMETRES: ArithmeticUnit = { name: 'mm', perInch: MM_PER_IN, places: 4 };
const THOU: ArithmeticUnit = { name: 'thou', perInch: THOU_PER_IN, places: 3 };

/** Units of a line that follow the reader's, with their power of a length. */
const POWERS: Readonly<Record<string, number>> = { in: 1, 'in/click': 1, 'in²': 2, 'in³': 3 };
const SUPERSCRIPTS = ['', '', '²', '³'];

/** A volume in thou³ tells nobody anything: such lines stay in inches. */
function unitOf({ unit }: Pick<WorkLine, 'unit'>, style: LengthStyle): ArithmeticUnit {
  if (style === 'mm') return MILLIMETRES;
  return style === 'thou' && (POWERS[unit] ?? 1) === 1 ? THOU : INCHES;
}

const written = (part: LengthPart, { name, perInch, places }: ArithmeticUnit): string => {
  const figure = writeDecimal(part.inches * perInch ** part.power, 0, places);
  return part.alone ? `${figure} ${name}${SUPERSCRIPTS[part.power] ?? ''}` : figure;
};

const inUnit = (notation: string | Notation, unit: ArithmeticUnit, length: WriteLength): string =>
  typeof notation === 'string'
    ? notation
    : notation
        .map((part) =>
          typeof part === 'string'
            ? part
            : 'refused' in part
              ? refusalInWords(part.refused, length)
              : written(part, unit)
        )
        .join('');

/** A short answer whose lengths stand in it, in the reader's unit. */
export const notationInWords = (notation: string | Notation, style: LengthStyle): string =>
  inUnit(notation, unitOf({ unit: '' }, style), inStyle(style));

/** A line of arithmetic in the reader's unit; lines of rivets an inch, loads and stresses stay as the guidance is printed. */
export function workInWords(line: WorkLine, style: LengthStyle): WrittenLine {
  const unit = unitOf(line, style);
  const power = POWERS[line.unit];
  const length = inStyle(style);
  const { value } = line;
  return {
    label: line.label,
    formula: inUnit(line.formula, unit, length),
    value:
      typeof value === 'number'
        ? power === undefined
          ? value
          : value * unit.perInch ** power
        : inUnit(value, unit, length),
    unit: power === undefined ? line.unit : line.unit.replace('in', unit.name)
  };
}

/** A calculation's answer as programs are given it: English, inches. */
export type WrittenAnswer =
  | { ok: true; result: unknown; work: WrittenLine[] }
  | { ok: false; error: { code: string; message: string; path: string } };

/** Writes a calculation's answer for a program. */
export const answerInWords = (answer: Answer<unknown>): WrittenAnswer =>
  answer.ok
    ? {
        ok: true,
        result: answer.result,
        work: answer.work.map((line) => ({
          label: line.label,
          formula: inUnit(line.formula, INCHES, inInches),
          value: typeof line.value === 'number' ? line.value : inUnit(line.value, INCHES, inInches),
          unit: line.unit
        }))
      }
    : {
        ok: false,
        error: {
          code: answer.error.code,
          message: refusalInWords(answer.error.said, inInches),
          path: answer.error.path
        }
      };

/** A number of a line of arithmetic: up to six places. */
export const figureInWords = (value: WrittenLine['value']): string =>
  typeof value === 'number' ? num(value) : value;
