import type { BoundRule } from '../../core/rules/bound-rules.ts';
import { INSPECTION_PLACES } from '../../core/rules/inspection.ts';
import { SHOP_COUNTS } from '../../core/rules/sampling.ts';
import { SCHOOLS } from '../../core/rules/schools.ts';
import type { LengthStyle } from '../../core/units/format-length.ts';
import { notationInWords } from './arithmetic.ts';

const places = (listed: string): string =>
  listed === ''
    ? 'the shop head alone'
    : listed
        .split(', ')
        .map((one) => INSPECTION_PLACES.find(({ value }) => value === one)?.label ?? one)
        .join(', ');

/** One binding rule that is not the shop’s: what it says here, what the shop’s says, and who set it. */
export function boundRuleInWords({ rule, shop, joint, by }: BoundRule, style: LengthStyle): string {
  const end = `, set by ${by}`;
  if (rule === 'ownHeads') return `Head limits of its own: ${joint}${end}`;
  if (rule === 'inspect')
    return `Inspected beside the shop head: ${places(joint)} (the shop: ${places(shop)})${end}`;
  const count = SHOP_COUNTS.find(({ key }) => key === rule);
  if (count) return `${count.label}: ${joint} (the shop: ${shop})${end}`;
  const school = SCHOOLS.find(({ key }) => key === rule);
  const text = (value: string) =>
    notationInWords(school?.options.find((one) => one.value === value)?.text ?? value, style);
  return `${school?.question ?? rule} ${text(joint)} (the shop: ${text(shop)})${end}`;
}
