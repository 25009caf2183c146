import { num } from '../answer.ts';
import type { Joint } from '../kinds/joint.ts';
import { differences, type Difference } from '../joint/differences.ts';
import { plan } from './plan.ts';
import type { Plan } from './plan-shape.ts';
import type { WidthPlace } from '../carry/need.ts';
import type { PlanWarningSaid } from './warning-said.ts';
import type { RuleProfile } from '../rules/profile.ts';

/** One answer: as it is written, or the warnings that stop the joint. */
export type AnswerSaid = string | PlanWarningSaid[];

/** One answer of a joint under two profiles. */
export interface RuleEffect {
  what: string;
  /** which width, where it is the rivets of one */
  where?: WidthPlace;
  here: AnswerSaid;
  there: AnswerSaid;
}

interface Told {
  what: string;
  where?: WidthPlace;
  said: AnswerSaid;
}

export interface RuleComparison {
  /** settings that differ, by dotted path */
  settings: Difference[];
  /** answers that differ */
  effects: RuleEffect[];
}

const inches = (valueIn: number): string => `${num(Number(valueIn.toFixed(4)))} in`;

/** The answers of a plan that a person would notice. */
function answersOf({ dash, needs, layout, stacks, warnings }: Plan): Map<string, Told> {
  const answers = new Map<string, Told>();
  const tell = (what: string, said: AnswerSaid) => answers.set(what, { what, said });
  tell('rivet size', `dash ${dash}`);
  for (const { key, where, required } of needs)
    answers.set(`needed ${key}`, {
      what: 'rivets needed',
      where,
      said: required.ok ? String(required.result.required) : required.error.message
    });
  if (layout.ok) {
    tell('holes', String(layout.result.drilled));
    for (const { label, valueIn, text } of layout.result.figures)
      tell(label.toLowerCase(), valueIn === undefined ? (text ?? '') : inches(valueIn));
  } else tell('layout', layout.error.message);
  for (const [index, { length, hole, head }] of stacks.entries()) {
    const of = stacks.length > 1 ? `, stack ${index + 1}` : '';
    tell(`rivet${of}`, length.ok ? length.result.partNumber : length.error.message);
    tell(`drill${of}`, hole.drill);
    if (length.ok) tell(`protrusion${of}`, inches(length.result.protrusionIn));
    if (head.ok) {
      const band = head.result.heightBandD;
      tell(
        `stop driving at${of}`,
        band ? `${band.low.toFixed(2)} to ${band.high.toFixed(2)} D` : 'no height'
      );
    }
  }
  const stops = warnings.filter(({ level }) => level === 'stop').map(({ said }) => said);
  tell('limits broken', stops);
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
  for (const key of new Set([...mine.keys(), ...theirs.keys()])) {
    const [a, b] = [mine.get(key), theirs.get(key)];
    const told = a ?? b;
    const [here, there] = [a?.said ?? 'not there', b?.said ?? 'not there'];
    if (told && JSON.stringify(here) !== JSON.stringify(there))
      effects.push({
        what: told.what,
        ...(told.where ? { where: told.where } : {}),
        here,
        there
      });
  }
  const settings = differences(here, there).filter(
    ({ path }) => path !== 'name' && path !== 'version'
  );
  return { settings, effects };
}
