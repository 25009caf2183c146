import { num } from '../answer.ts';
import type { Joint } from '../kinds/joint.ts';
import { differences, type Difference } from '../joint/differences.ts';
import { plan } from './plan.ts';
import type { Plan } from './plan-shape.ts';
import type { RuleProfile } from '../rules/profile.ts';

/** One answer of a joint under two profiles. */
export interface RuleEffect {
  what: string;
  here: string;
  there: string;
}

export interface RuleComparison {
  /** settings that differ, by dotted path */
  settings: Difference[];
  /** answers that differ */
  effects: RuleEffect[];
}

const inches = (valueIn: number): string => `${num(Number(valueIn.toFixed(4)))} in`;

/** The answers of a plan that a person would notice. */
function answersOf({ dash, needs, layout, stacks, warnings }: Plan): Map<string, string> {
  const answers = new Map<string, string>([['rivet size', `dash ${dash}`]]);
  for (const { where, required } of needs)
    answers.set(
      `rivets needed ${where}`,
      required.ok ? String(required.result.required) : required.error.message
    );
  if (layout.ok) {
    answers.set('holes', String(layout.result.drilled));
    for (const { label, valueIn, text } of layout.result.figures)
      answers.set(label.toLowerCase(), valueIn === undefined ? (text ?? '') : inches(valueIn));
  } else answers.set('layout', layout.error.message);
  for (const [index, { length, hole, head }] of stacks.entries()) {
    const of = stacks.length > 1 ? `, stack ${index + 1}` : '';
    answers.set(`rivet${of}`, length.ok ? length.result.partNumber : length.error.message);
    answers.set(`drill${of}`, hole.drill);
    if (length.ok) answers.set(`protrusion${of}`, inches(length.result.protrusionIn));
    if (head.ok) {
      const band = head.result.heightBandD;
      answers.set(
        `stop driving at${of}`,
        band ? `${band.low.toFixed(2)} to ${band.high.toFixed(2)} D` : 'no height'
      );
    }
  }
  const stops = warnings.filter(({ level }) => level === 'stop').map(({ title }) => title);
  answers.set('limits broken', stops.length === 0 ? 'none' : stops.join('; '));
  return answers;
}

/**
 * What would differ about a joint under another profile: settings, and the answers that follow.
 *
 * @returns both lists empty where nothing differs
 */
export function compareRules(joint: Joint, here: RuleProfile, there: RuleProfile): RuleComparison {
  const [mine, theirs] = [answersOf(plan(joint, here)), answersOf(plan(joint, there))];
  const effects: RuleEffect[] = [];
  for (const what of new Set([...mine.keys(), ...theirs.keys()])) {
    const [a, b] = [mine.get(what) ?? 'not there', theirs.get(what) ?? 'not there'];
    if (a !== b) effects.push({ what, here: a, there: b });
  }
  const settings = differences(here, there).filter(
    ({ path }) => path !== 'name' && path !== 'version'
  );
  return { settings, effects };
}
