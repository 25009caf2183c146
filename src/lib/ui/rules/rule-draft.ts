import type { IceboxAlloy, IceboxRule, IceboxTimes } from '$core/rules/icebox.ts';
import { LIMITS } from '$core/rules/limit-settings.ts';
import { RuleProfile } from '$core/rules/profile.ts';
import { SHOP_COUNTS } from '$core/rules/sampling.ts';
import { SHOP_LENGTHS } from '$core/rules/schools.ts';
import { typedNumber } from '$core/units/typed-number.ts';

/** What is being changed on top of a version: choices, figures as typed, and a name of its own. */
export interface RuleEdits {
  changes: Readonly<Record<string, unknown>>;
  typed: Readonly<Record<string, string>>;
  name: string;
}

/** An alloy's times as typed; left empty they are the guidance's. */
function iceboxTyped(typed: RuleEdits['typed'], stands: IceboxRule): unknown {
  const of = (alloy: IceboxAlloy) => {
    const text = (key: keyof IceboxTimes) =>
      (typed[`icebox.${alloy}.${key}`] ?? String(stands[alloy]?.[key] ?? '')).trim();
    const own = { dueMinutes: text('dueMinutes'), limitMinutes: text('limitMinutes') };
    if (own.dueMinutes === '' && own.limitMinutes === '') return null;
    return {
      dueMinutes: typedNumber(own.dueMinutes),
      limitMinutes: typedNumber(own.limitMinutes),
      data: text('data')
    };
  };
  return { D: of('D'), DD: of('DD') };
}

/** The rules with what was changed, as core reads them: a profile, or what is wrong with it. */
export function draftOf(rules: RuleProfile, { changes, typed, name }: RuleEdits) {
  let { multipliers } = rules;
  for (const limit of LIMITS) {
    const text = typed[limit.key];
    if (text !== undefined) multipliers = limit.set(multipliers, typedNumber(text));
  }
  const renamed = name.trim();
  const typedOf = <K extends string>(
    keys: readonly { key: K }[],
    read: (text: string) => unknown
  ) =>
    Object.fromEntries(
      keys.flatMap(({ key }) => {
        const text = typed[key];
        return text === undefined ? [] : [[key, read(text)]];
      })
    );
  return RuleProfile.safeParse(
    {
      ...rules,
      ...changes,
      ...(renamed === '' ? {} : { name: renamed, version: 1 }),
      ...typedOf(SHOP_LENGTHS, (text) => text),
      ...typedOf(SHOP_COUNTS, typedNumber),
      icebox: iceboxTyped(typed, rules.icebox),
      multipliers
    },
    { reportInput: true }
  );
}
