import { visit } from 'jsonc-parser';
import { illFormed } from '../../../core/schema/well-formed.ts';

/** A name that every program reads otherwise. */
const REFUSED_NAME = '__proto__';

/**
 * The value of a JSON text that every reader reads alike: of two members of one name some readers take the first and some the
 * last, and what one of them sees need not be what was sealed.
 *
 * @returns the value, or why it cannot be read in one way alone
 */
export function readOneWay(
  text: string
): { ok: true; value: unknown } | { ok: false; message: string } {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return {
      ok: false,
      message: `not valid JSON: ${error instanceof Error ? error.message : ''}`
    };
  }
  let message: string | null = null;
  const names: Set<string>[] = [];
  const place = (line: number) => `line ${line + 1}`;
  visit(
    text,
    {
      onObjectBegin: () => void names.push(new Set()),
      onObjectEnd: () => void names.pop(),
      onObjectProperty: (name, _offset, _length, line) => {
        const known = names.at(-1);
        if (name === REFUSED_NAME) message ??= `${place(line)}: a member named ${REFUSED_NAME}`;
        else if (known?.has(name))
          message ??= `${place(line)}: a second member named ${JSON.stringify(name.slice(0, 60))}, which readers take one or the other way`;
        known?.add(name);
      },
      onLiteralValue: (literal, _offset, _length, line) => {
        if (typeof literal === 'number' && !Number.isFinite(literal))
          message ??= `${place(line)}: a number that is larger than any`;
      }
    },
    { disallowComments: true, allowTrailingComma: false }
  );
  if (message !== null) return { ok: false, message };
  const unread = illFormed(value);
  if (unread)
    return {
      ok: false,
      message: `${unread.path}: ${unread.said.code === 'told' ? unread.said.text : 'it cannot be read'}`
    };
  return { ok: true, value };
}
