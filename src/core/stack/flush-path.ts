import { by, len, type Notation } from '../notation.ts';
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

/** What the flush rule asks, in its order. */
export type FlushQuestion =
  | { ask: 'top-thick' | 'stack-thin' | 'thick-beneath'; limitIn: number }
  | { ask: 'head-within'; proudIn: number }
  | { ask: 'stack-under' | 'dimpled-under'; limitIn: number }
  | { ask: 'cut-within'; sheet: number };

/** Where an answer leads: to a method, or on. */
export type FlushLead =
  | FlushMethod
  | 'may-countersink'
  | 'is-dimpled'
  | 'not-together'
  | 'may-receive'
  | 'all-dimpled'
  | 'nest';

/** One question of the flush rule with the numbers put in, and where its answer leads. */
export interface FlushStep {
  question: FlushQuestion;
  numbers: Notation;
  yes: boolean;
  leads: FlushLead;
}

/**
 * The flush rule as it was walked for a stack: every question that was asked, in order, the last one deciding.
 *
 * @param sheetsIn metal alone, in, the first under the manufactured head
 * @returns questions with their numbers; what the last `leads` to is the method of `flushMethod`
 * @source stack-up
 */
export function flushPath(sheetsIn: readonly number[], dash: Dash): FlushStep[] {
  const headIn = rivetSize(dash).head.countersunk.heightIn;
  const topIn = sheetsIn[0] ?? 0;
  const totalIn = sheetsIn.reduce((sum, sheet) => sum + sheet, 0);
  const steps: FlushStep[] = [];
  const ask = (
    question: FlushQuestion,
    numbers: Notation,
    yes: boolean,
    onYes: FlushLead,
    onNo: FlushLead
  ) => {
    steps.push({ question, numbers, yes, leads: yes ? onYes : onNo });
    return yes;
  };
  const topThick = atLeast(topIn, COUNTERSINK_SHEET_IN);

  if (
    ask(
      { ask: 'top-thick', limitIn: COUNTERSINK_SHEET_IN },
      by`${len(topIn)} ${topThick ? '≥' : '<'} ${len(COUNTERSINK_SHEET_IN)}`,
      topThick,
      'may-countersink',
      'is-dimpled'
    )
  ) {
    const fits = atMost(headIn, topIn + PROUD_IN);
    ask(
      { ask: 'head-within', proudIn: PROUD_IN },
      by`head ${len(headIn)} ${fits ? '≤' : '>'} ${len(topIn)} + ${len(PROUD_IN)}`,
      fits,
      'countersink',
      'none'
    );
    return steps;
  }
  const together = atMost(totalIn, COUNTERSINK_SHEET_IN);
  if (
    ask(
      { ask: 'stack-thin', limitIn: COUNTERSINK_SHEET_IN },
      by`${len(totalIn)} ${together ? '≤' : '>'} ${len(COUNTERSINK_SHEET_IN)}`,
      together,
      'dimple-together',
      'not-together'
    )
  )
    return steps;

  // The top sheet, thinner than that, is never the one.
  const thick = sheetsIn.findIndex((sheet) => above(sheet, COUNTERSINK_SHEET_IN));
  const thickIn = sheetsIn[thick];
  ask(
    { ask: 'thick-beneath', limitIn: COUNTERSINK_SHEET_IN },
    thickIn === undefined
      ? by`thickest beneath ${len(Math.max(0, ...sheetsIn.slice(1)))} ≤ ${len(COUNTERSINK_SHEET_IN)}`
      : by`sheet ${thick + 1}: ${len(thickIn)} > ${len(COUNTERSINK_SHEET_IN)}`,
    thickIn !== undefined,
    'may-receive',
    'all-dimpled'
  );
  if (thickIn === undefined) {
    const thin = below(totalIn, DIMPLED_LIMIT_IN);
    ask(
      { ask: 'stack-under', limitIn: DIMPLED_LIMIT_IN },
      by`${len(totalIn)} ${thin ? '<' : '≥'} ${len(DIMPLED_LIMIT_IN)}`,
      thin,
      'dimple-each',
      'none'
    );
    return steps;
  }
  const dimpledIn = sheetsIn.slice(0, thick).reduce((sum, sheet) => sum + sheet, 0);
  const few = below(dimpledIn, DIMPLED_LIMIT_IN);
  if (
    !ask(
      { ask: 'dimpled-under', limitIn: DIMPLED_LIMIT_IN },
      by`${len(dimpledIn)} ${few ? '<' : '≥'} ${len(DIMPLED_LIMIT_IN)}`,
      few,
      'nest',
      'none'
    )
  )
    return steps;
  const nestIn = NEST_PER_IN * dimpledIn;
  const cutIn = headIn + nestIn;
  const within = atMost(cutIn, thickIn);
  ask(
    { ask: 'cut-within', sheet: thick + 1 },
    by`head ${len(headIn)} + nest ${len(nestIn)} = ${len(cutIn)} ${within ? '≤' : '>'} ${len(thickIn)}`,
    within,
    'dimple-top-countersink-under',
    'none'
  );
  return steps;
}
