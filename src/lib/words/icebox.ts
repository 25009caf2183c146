import { num } from '../../core/answer.ts';
import {
  isLonger,
  publishedWindow,
  type BatchTimes,
  type IceboxTimes
} from '../../core/rules/icebox.ts';
import { partNumber } from '../../core/stack/part-number.ts';

/** A shop's own times, as a line of a clock, a record or a rule: longer ones always with their data. */
export function timesInWords(
  part: string,
  times: IceboxTimes & Partial<Pick<BatchTimes, 'rule'>>
): string {
  const read = partNumber({ text: part });
  const alloy = read.ok ? read.result.alloy : null;
  const { dueMinutes, limitMinutes, data, rule } = times;
  const by = data === '' ? '' : ` by ${data}`;
  const whose = rule === undefined ? '' : ` (${rule})`;
  const said = `${ownTimes(dueMinutes, limitMinutes)}${by}${whose}`;
  if ((alloy !== 'D' && alloy !== 'DD') || !isLonger(alloy, times)) return `Shop’s times: ${said}`;
  const guided = publishedWindow(alloy);
  return `△ Longer than the guidance’s ${num(guided.limitMinutes)} min: ${said}`;
}

/** Two times of one rule. */
export const ownTimes = (dueMinutes: number, limitMinutes: number): string =>
  `due at ${num(dueMinutes)} min, limit ${num(limitMinutes)} min`;
