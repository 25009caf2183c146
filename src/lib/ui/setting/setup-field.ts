/** One thing that a setting rests on, as a form asks for it. */
export type SetupField = { key: string; label: string } & (
  | { as: 'length'; whenEmpty?: string; list?: string; plain?: boolean }
  | { as: 'text'; most: number; hint?: string }
  | { as: 'whole'; most: number }
  | { as: 'choice'; options: readonly Option[]; quiet?: boolean; testid?: string }
  | { as: 'pick'; options: readonly Option[] }
);
interface Option {
  value: string;
  text: string;
  title?: string;
}

/** Fields that stand side by side. */
export interface FieldRow {
  /** said over them */
  title?: string;
  fields: readonly SetupField[];
  /** narrow ones: three in a row where two would fit */
  narrow?: boolean;
  /** under them */
  hint?: string;
}

/** Choices of values that are their own words, or have some. */
export const optionsOf = (
  values: readonly string[],
  words: Readonly<Record<string, string>> = {}
): Option[] => values.map((value) => ({ value, text: words[value] ?? value }));

type More<As> = Omit<Extract<SetupField, { as: As }>, 'key' | 'label' | 'as'>;
export const length = (key: string, label: string, more: More<'length'> = {}): SetupField => ({
  key,
  label,
  as: 'length',
  ...more
});
export const text = (key: string, label: string, most: number, hint = ''): SetupField => ({
  key,
  label,
  as: 'text',
  most,
  hint
});
export const choice = (
  key: string,
  label: string,
  options: readonly Option[],
  more: Omit<More<'choice'>, 'options'> = {}
): SetupField => ({ key, label, as: 'choice', options, ...more });
/** One field under another. */
export const oneByOne = (...fields: readonly SetupField[]): FieldRow[] =>
  fields.map((field) => ({ fields: [field] }));
