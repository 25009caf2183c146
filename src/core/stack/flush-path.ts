import { num } from '../answer.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Dash } from '../schema/fields.ts';
import { above, atLeast, atMost, below } from '../units/tolerance.ts';
import {
  COUNTERSINK_SHEET_IN,
  DIMPLED_LIMIT_IN,
  NEST_PER_IN,
  PROUD_IN,
  type FlushMethod
} from './flush-method.ts';

/** One question of the flush rule with the numbers put in, and where its answer leads. */
export interface FlushStep {
  question: string;
  numbers: string;
  yes: boolean;
  leads: string;
}

const METHOD_WORDS: Record<FlushMethod, string> = {
  countersink: 'countersink the top sheet',
  'dimple-together': 'dimple the sheets together, the rivet as punch',
  'dimple-each': 'dimple each sheet separately',
  'dimple-top-countersink-under': 'dimple the top, countersink beneath',
  none: 'no standard method: smaller rivet, thicker sheet, or engineering'
};

/**
 * The flush rule as it was walked for a stack: every question that was asked, in order, the last one deciding.
 *
 * @param sheetsIn metal alone, in, the first under the manufactured head
 * @returns questions with their numbers; what the last `leads` to is the method of `flushMethod`
 * @source handbook 4.3
 */
export function flushPath(sheetsIn: readonly number[], dash: Dash): FlushStep[] {
  const headIn = rivetSize(dash).head.countersunk.heightIn;
  const topIn = sheetsIn[0] ?? 0;
  const totalIn = sheetsIn.reduce((sum, sheet) => sum + sheet, 0);
  const steps: FlushStep[] = [];
  const ask = (question: string, numbers: string, yes: boolean, onYes: string, onNo: string) => {
    steps.push({ question, numbers, yes, leads: yes ? onYes : onNo });
    return yes;
  };
  const { countersink, none } = METHOD_WORDS;

  if (
    ask(
      'Is the top sheet 0.040 in or more?',
      `${num(topIn)} ${atLeast(topIn, COUNTERSINK_SHEET_IN) ? '≥' : '<'} 0.040`,
      atLeast(topIn, COUNTERSINK_SHEET_IN),
      'it may be countersunk',
      'it is dimpled'
    )
  ) {
    const fits = atMost(headIn, topIn + PROUD_IN);
    ask(
      'Does the head stay within it, 0.002 proud allowed?',
      `head ${num(headIn)} ${fits ? '≤' : '>'} ${num(topIn)} + 0.002`,
      fits,
      countersink,
      none
    );
    return steps;
  }
  if (
    ask(
      'Is the whole stack 0.040 in or less?',
      `${num(totalIn)} ${atMost(totalIn, COUNTERSINK_SHEET_IN) ? '≤' : '>'} 0.040`,
      atMost(totalIn, COUNTERSINK_SHEET_IN),
      METHOD_WORDS['dimple-together'],
      'not together'
    )
  )
    return steps;

  const thick = sheetsIn.findIndex((sheet, at) => at > 0 && above(sheet, COUNTERSINK_SHEET_IN));
  const thickIn = sheetsIn[thick];
  const hasThick = ask(
    'Is a sheet beneath over 0.040 in?',
    thickIn === undefined
      ? `thickest beneath ${num(Math.max(0, ...sheetsIn.slice(1)))} ≤ 0.040`
      : `sheet ${thick + 1}: ${num(thickIn)} > 0.040`,
    thickIn !== undefined,
    'it may be countersunk to receive the dimple',
    'every sheet is dimpled'
  );
  if (!hasThick || thickIn === undefined) {
    const thin = below(totalIn, DIMPLED_LIMIT_IN);
    ask(
      'Is the whole stack under 0.090 in?',
      `${num(totalIn)} ${thin ? '<' : '≥'} 0.090`,
      thin,
      METHOD_WORDS['dimple-each'],
      none
    );
    return steps;
  }
  const dimpledIn = sheetsIn.slice(0, thick).reduce((sum, sheet) => sum + sheet, 0);
  const few = below(dimpledIn, DIMPLED_LIMIT_IN);
  if (
    !ask(
      'Are the dimpled sheets under 0.090 in together?',
      `${num(dimpledIn)} ${few ? '<' : '≥'} 0.090`,
      few,
      'they nest',
      none
    )
  )
    return steps;
  const cutIn = headIn + NEST_PER_IN * dimpledIn;
  const within = atMost(cutIn, thickIn);
  ask(
    `Does the deeper cut stay within sheet ${thick + 1}?`,
    `head ${num(headIn)} + nest ${num(NEST_PER_IN * dimpledIn)} = ${num(cutIn)} ${within ? '≤' : '>'} ${num(thickIn)}`,
    within,
    METHOD_WORDS['dimple-top-countersink-under'],
    none
  );
  return steps;
}
