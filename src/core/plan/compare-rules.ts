import type { Answer } from '../answer.ts';
import type { Notation } from '../notation.ts';
import type { RefusalSaid } from '../refusal-said.ts';
import type { Joint } from '../kinds/joint.ts';
import { plan } from './plan.ts';
import type { Plan } from './plan-shape.ts';
import type { WidthPlace } from '../size/need.ts';
import type { PlanWarningSaid } from './warning-said.ts';
import { stopsOf } from './stops.ts';
import type { RuleProfile } from '../rules/profile.ts';

/** One answer under a profile. */
export type AnswerSaid =
  | { is: 'size'; dash: number }
  | { is: 'count'; count: number }
  | { is: 'length'; lengthIn: number }
  | { is: 'text'; text: string | Notation }
  /** in D; null where no height is good */
  | { is: 'band'; bandD: { low: number; high: number } | null }
  | { is: 'refused'; why: RefusalSaid }
  | { is: 'stops'; said: PlanWarningSaid[] }
  | { is: 'nothing' };

/** What is answered; a layout's figure has its own label. */
export type AnswerName =
  | { what: 'size' | 'holes' | 'layout' | 'limits' }
  | { what: 'needed'; where: WidthPlace }
  | { what: 'figure'; label: string }
  /** stack counted from 1 where there are several */
  | { what: 'rivet' | 'drill' | 'protrusion' | 'stop-at'; stack: number | null };

/** One answer of a joint under two profiles. */
export interface RuleEffect {
  name: AnswerName;
  here: AnswerSaid;
  there: AnswerSaid;
}

const NOTHING: AnswerSaid = { is: 'nothing' };

/** The answers of a plan that a person would notice. */
function answersOf({ dash, needs, layout, stacks, warnings }: Plan) {
  const answers = new Map<string, { name: AnswerName; said: AnswerSaid }>();
  const tell = (key: string, name: AnswerName, said: AnswerSaid) =>
    answers.set(key, { name, said });
  const unless = <T>(answer: Answer<T>, said: (result: T) => AnswerSaid): AnswerSaid =>
    answer.ok ? said(answer.result) : { is: 'refused', why: answer.error.said };
  tell('size', { what: 'size' }, { is: 'size', dash });
  for (const { key, where, required } of needs)
    tell(
      `needed ${key}`,
      { what: 'needed', where },
      unless(required, (result) => ({ is: 'count', count: result.required }))
    );
  if (layout.ok) {
    tell('holes', { what: 'holes' }, { is: 'count', count: layout.result.drilled });
    for (const { key, label, valueIn, text } of layout.result.figures)
      tell(
        `figure ${key}`,
        { what: 'figure', label },
        valueIn === undefined
          ? { is: 'text', text: text ?? '' }
          : { is: 'length', lengthIn: valueIn }
      );
  } else tell('layout', { what: 'layout' }, { is: 'refused', why: layout.error.said });
  for (const [index, { length, hole, head }] of stacks.entries()) {
    const stack = stacks.length > 1 ? index + 1 : null;
    const each = (what: 'rivet' | 'drill' | 'protrusion' | 'stop-at', said: AnswerSaid) =>
      tell(`${what} ${index}`, { what, stack }, said);
    each(
      'rivet',
      unless(length, ({ partNumber }) => ({ is: 'text', text: partNumber }))
    );
    each('drill', { is: 'text', text: hole.drill });
    if (length.ok) each('protrusion', { is: 'length', lengthIn: length.result.protrusionIn });
    if (head.ok) each('stop-at', { is: 'band', bandD: head.result.heightBandD });
  }
  const said = stopsOf({ warnings }).map((warning) => warning.said);
  tell('limits', { what: 'limits' }, { is: 'stops', said });
  return answers;
}

/**
 * The answers of a joint that would differ under another profile.
 *
 * @returns empty where nothing that is reckoned differs: the order of the steps is not looked at
 */
export function compareRules(joint: Joint, here: RuleProfile, there: RuleProfile): RuleEffect[] {
  const [mine, theirs] = [answersOf(plan(joint, here)), answersOf(plan(joint, there))];
  const effects: RuleEffect[] = [];
  for (const key of new Set([...mine.keys(), ...theirs.keys()])) {
    const [a, b] = [mine.get(key), theirs.get(key)];
    const told = a ?? b;
    const [here, there] = [a?.said ?? NOTHING, b?.said ?? NOTHING];
    if (told && JSON.stringify(here) !== JSON.stringify(there))
      effects.push({ name: told.name, here, there });
  }
  return effects;
}
