import type { RuleProfile } from '../../core/rules/profile.ts';
import { INSPECTION_PLACES } from '../../core/rules/inspection.ts';
import { ICEBOX_ALLOYS, publishedWindow } from '../../core/rules/icebox.ts';
import { ownTimes } from './icebox.ts';
import { SHOP_COUNTS } from '../../core/rules/sampling.ts';
import { LIMITS } from '../../core/rules/limit-settings.ts';
import { SCHOOLS, SHOP_LENGTHS } from '../../core/rules/schools.ts';
import type { LengthStyle } from '../../core/units/format-length.ts';
import { num } from '../../core/answer.ts';
import { notationInWords } from './arithmetic.ts';
import { inStyle } from './writing.ts';

/** What a shop's rules say otherwise than before, each point by its question, its label and its unit. */
export function ruleChangesInWords(
  was: RuleProfile,
  now: RuleProfile,
  style: LengthStyle
): string[] {
  const length = inStyle(style);
  const changed = (label: string, before: string, after: string) =>
    before === after ? [] : [`${label}: ${before} → ${after}`];
  return [
    ...changed('Name', was.name, now.name),
    ...SCHOOLS.flatMap(({ key, question, options }) => {
      const text = (value: string) =>
        notationInWords(options.find((option) => option.value === value)?.text ?? value, style);
      return was[key] === now[key] ? [] : [`${question} ${text(was[key])} → ${text(now[key])}`];
    }),
    ...SHOP_LENGTHS.flatMap(({ key, label }) =>
      was[key] === now[key]
        ? []
        : [`${label}: ${length(was[key], 'fine')} → ${length(now[key], 'fine')}`]
    ),
    ...SHOP_COUNTS.flatMap(({ key, label }) => changed(label, num(was[key]), num(now[key]))),
    ...INSPECTION_PLACES.flatMap(({ value, label }) => {
      const asked = (rules: RuleProfile) =>
        rules.inspect.includes(value) ? 'inspected' : 'not asked for';
      return changed(label, asked(was), asked(now));
    }),
    ...ICEBOX_ALLOYS.flatMap((alloy) => {
      const times = ({ icebox }: RuleProfile) => {
        const own = icebox[alloy];
        const { dueMinutes, limitMinutes } = own ?? publishedWindow(alloy);
        const data = own === null ? 'guidance' : own.data;
        return `${ownTimes(dueMinutes, limitMinutes)}${data === '' ? '' : `, ${data}`}`;
      };
      return changed(`Icebox rivets of alloy ${alloy}`, times(was), times(now));
    }),
    ...LIMITS.flatMap(({ label, unit, of }) => {
      const limit = (rules: RuleProfile) => `${num(of(rules.multipliers))} ${unit}`;
      return changed(label, limit(was), limit(now));
    })
  ];
}
