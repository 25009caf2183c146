import { z } from 'zod';
import { answer, invalidInput, num, workLine, type Answer } from '../answer.ts';
import {
  DASHES,
  LONGEST_LENGTH_DASH,
  PART_BASICS,
  SHORTEST_LENGTH_DASH
} from '../catalog/rivets.ts';
import type { RefusalSaid } from '../refusal-said.ts';
import { Alloy, Dash, Head } from '../schema/fields.ts';
import { writeDecimal } from '../units/format-length.ts';

export const PartNumberInput = z.strictObject({
  text: z.string({ error: 'a part number is expected, such as MS20470AD4-6' }).max(60)
});
export type PartNumberInput = z.output<typeof PartNumberInput>;

const Standard = z.enum(['MS', 'AN']);

export const PartNumberResult = z.strictObject({
  standard: Standard,
  head: Head,
  alloy: Alloy,
  dash: Dash,
  diameterIn: z.number(),
  lengthIn: z.number(),
  lengthDash: z.string(),
  canonical: z.string()
});
export type PartNumberResult = z.infer<typeof PartNumberResult>;

/** `6`, `3.5`: a length in 16ths as part numbers write it. */
export const writeLengthDash = (sixteenths: number): string => writeDecimal(sixteenths, 0, 1);

/**
 * Writes the part number of a solid rivet.
 *
 * @param sixteenths length in 16ths of an inch
 */
export const writePartNumber = (
  standard: 'MS' | 'AN',
  head: Head,
  alloy: Alloy,
  dash: Dash,
  sixteenths: number
): string => `${PART_BASICS[standard][head]}${alloy}${dash}-${writeLengthDash(sixteenths)}`;

const SHAPE = /^(MS20470|MS20426|AN470|AN426)([A-Z]+)(\d+)-(\d+(?:\.\d+)?)$/;

/**
 * Reads a solid rivet's part number: head, alloy, diameter in 32nds, length in 16ths. Spaces and lower
 * case are accepted.
 *
 * @param input the text
 * @returns its parts; `canonical` is upper case without spaces, MS or AN kept as given
 * @throws never; `invalid-input` names the part that was not understood
 * @source rivets; calculation `part-number`
 * @example part-number {"text":"ms20470 ad4-6"} -> {"canonical":"MS20470AD4-6","dash":4,"lengthIn":0.375}
 */
export function partNumber({ text }: PartNumberInput): Answer<PartNumberResult> {
  const tidy = text.toUpperCase().replace(/\s+/g, '');
  const refuse = (
    wrong: Extract<RefusalSaid, { code: 'no-part-number' }>['wrong'],
    given: string,
    among: readonly (string | number)[] = []
  ) => invalidInput('text', { code: 'no-part-number', wrong, text: given, among });
  const parts = SHAPE.exec(tidy);
  if (!parts) {
    if (!/^(MS20470|MS20426|AN470|AN426)/.test(tidy)) return refuse('head', text.trim());
    return refuse('shape', text.trim());
  }
  const [, basic = '', alloyText = '', dashText = '', lengthText = ''] = parts;
  const alloy = Alloy.safeParse(alloyText);
  if (!alloy.success) return refuse('alloy', alloyText, Alloy.options);
  const dash = Dash.safeParse(Number(dashText));
  if (!dash.success || dashText.length > 1) return refuse('diameter', dashText, DASHES);
  const sixteenths = Number(lengthText);
  if (!Number.isInteger(sixteenths * 2)) return refuse('step', lengthText);
  if (sixteenths < SHORTEST_LENGTH_DASH || sixteenths > LONGEST_LENGTH_DASH)
    return refuse('length', lengthText, [SHORTEST_LENGTH_DASH, LONGEST_LENGTH_DASH]);

  const standard = basic.startsWith('MS') ? 'MS' : 'AN';
  const head = PART_BASICS[standard].universal === basic ? 'universal' : 'countersunk';
  const lengthIn = sixteenths / 16;
  const diameterIn = dash.data / 32;
  return answer(
    {
      standard,
      head,
      alloy: alloy.data,
      dash: dash.data,
      diameterIn,
      lengthIn,
      lengthDash: writeLengthDash(sixteenths),
      canonical: writePartNumber(standard, head, alloy.data, dash.data, sixteenths)
    },
    [
      workLine('diameter', `${dash.data} / 32`, diameterIn, 'in'),
      workLine(
        head === 'universal' ? 'length under the head' : 'length overall',
        `${num(sixteenths)} / 16`,
        lengthIn,
        'in'
      )
    ]
  );
}
