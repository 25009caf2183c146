import type { Notation } from '../notation.ts';

/** A measured field: the question it answers, and what an empty one stands for. */
export interface LengthAsk<Entered> {
  /** `length` is read with a unit, `number` is plain, `text` is words */
  ask: 'length' | 'number' | 'text';
  key: string;
  label: string;
  placeholder?: string;
  whenEmpty?: string | Notation;
  when?: (entered: Entered) => boolean;
}

/** One of a few, all in sight. */
export interface ChoiceAsk<Entered> {
  ask: 'choice';
  key: string;
  label: string;
  options: readonly { value: string; text: string }[];
  /** the document's value for an option's text, where it is no text */
  read?: (value: string) => string | number | boolean;
  /** what else changes with it, as names that nobody has typed over */
  also?: (entered: Entered, value: string) => Record<string, unknown>;
  when?: (entered: Entered) => boolean;
}

/** One question that a kind of joint asks. */
export type Ask<Entered> = LengthAsk<Entered> | ChoiceAsk<Entered>;

export const length = <E>(
  key: string,
  label: string,
  placeholder: string,
  whenEmpty?: string | Notation,
  when?: (entered: E) => boolean
): LengthAsk<E> => ({
  ask: 'length',
  key,
  label,
  placeholder,
  ...(whenEmpty === undefined ? {} : { whenEmpty }),
  ...(when === undefined ? {} : { when })
});

export const choice = <E>(
  key: string,
  label: string,
  options: readonly [value: string, text: string][],
  more: Pick<ChoiceAsk<E>, 'read' | 'when' | 'also'> = {}
): ChoiceAsk<E> => ({
  ask: 'choice',
  key,
  label,
  options: options.map(([value, text]) => ({ value, text })),
  ...more
});

export const asNumber = (value: string): number => Number(value);

export const EDGE: LengthAsk<unknown> = length(
  'edgeIn',
  'Edge distance',
  'usual',
  'minimum, rounded up to a division of the scale'
);

/** What every kind asks of the edge; joints of before say where divisions are counted from. */
export const EDGES: readonly Ask<unknown>[] = [
  EDGE,
  choice(
    'divisionsFrom',
    'Divisions of the scale from',
    [
      ['first-hole', 'first hole, as laid out'],
      ['datum', 'datum']
    ],
    { when: (joint) => (joint as { divisionsFrom?: string }).divisionsFrom === 'first-hole' }
  )
];

export const CARRIES: ChoiceAsk<unknown> = choice('carries', 'Does it carry load?', [
  ['guidance', 'Yes: size it'],
  ['attach', 'No: attachment only']
]);

/** Straight rows across the joint: how many, and how they stand to each other. */
export const ROWS: readonly ChoiceAsk<unknown>[] = [
  choice(
    'rows',
    'Rows',
    [
      ['auto', 'Auto'],
      ['1', '1'],
      ['2', '2'],
      ['3', '3']
    ],
    { read: (value) => (value === 'auto' ? 'auto' : Number(value)) }
  ),
  choice('pattern', 'Pattern', [
    ['in-line', 'In line'],
    ['staggered', 'Staggered']
  ])
];
