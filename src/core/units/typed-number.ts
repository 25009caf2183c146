/**
 * A plain number as somebody types it, with a point or a comma.
 *
 * @returns NaN where it is no number; nothing typed is no number either, and never 0
 * @example typedNumber(' 1,5 ') // 1.5
 */
export function typedNumber(text: string): number {
  const typed = text.trim();
  return typed === '' ? NaN : Number(typed.replace(',', '.'));
}
