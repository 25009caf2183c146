import { z } from 'zod';
import { GUN_SIZES } from '$core/catalog/driving-figures.ts';
import { DrivingTools } from '$core/drive/driving-tools.ts';
import { parseLength } from '$core/units/parse-length.ts';
import type { SetupField } from '$lib/ui/setting/setup-field.ts';
import { TOOLS } from '$lib/words/pages/tools.ts';
import { COMMON } from '$lib/words/pages/common.ts';
import { typedNumber } from '$core/units/typed-number.ts';

/** One thing that is said of a tool. */
export interface ToolField {
  key: string;
  label: string;
  kind:
    | 'text'
    | 'length'
    | 'number'
    | 'lengths'
    | { options: readonly { value: string; text: string }[] };
}
type Group = Exclude<keyof DrivingTools, 'plate'>;

const name: ToolField = { key: 'name', label: 'Name, as marked on it', kind: 'text' };
const length = (key: string, label: string): ToolField => ({ key, label, kind: 'length' });
const choice = (
  key: string,
  label: string,
  values: readonly string[],
  texts = values
): ToolField => ({
  key,
  label,
  kind: { options: values.map((value, at) => ({ value, text: texts[at] ?? value })) }
});

/** Every kind of tool with what is asked of it. */
export const TOOL_GROUPS: readonly {
  key: Group;
  title: string;
  one: string;
  fields: ToolField[];
}[] = [
  {
    key: 'guns',
    title: 'Guns',
    one: 'a gun',
    fields: [name, choice('size', 'Size', GUN_SIZES), length('lengthIn', 'Length with rivet set')]
  },
  {
    key: 'sets',
    title: 'Rivet sets',
    one: 'a set',
    fields: [
      name,
      choice('kind', COMMON.for, ['cup', 'flush', 'back'], ['universal', 'flush', 'back']),
      choice('dash', 'Size on it', ['', '3', '4', '5', '6', '8'], ['any', '3', '4', '5', '6', '8']),
      length('acrossIn', 'Cup or face across'),
      length('radiusIn', 'Radius of its body'),
      choice('rim', 'Rim', ['plain', 'swivel', 'rubber'])
    ]
  },
  {
    key: 'bars',
    title: 'Bucking bars',
    one: 'a bar',
    fields: [
      name,
      { key: 'weightLb', label: TOOLS.weightLb, kind: 'number' },
      length('radiusIn', 'Rivet center to side of bar'),
      length('heightIn', 'Bar height')
    ]
  },
  {
    key: 'squeezers',
    title: 'Squeezers',
    one: 'a squeezer',
    fields: [
      name,
      choice('powered', 'Type', ['no', 'yes'], ['hand', 'powered']),
      { key: 'forceLb', label: 'Force, lb', kind: 'number' },
      length('turnIn', 'Travel per turn'),
      { key: 'divisionsPerTurn', label: 'Divisions per turn', kind: 'number' }
    ]
  },
  {
    key: 'yokes',
    title: 'Yokes',
    one: 'a yoke',
    fields: [name, length('throatIn', 'Throat depth'), length('gapIn', 'Jaw opening')]
  },
  {
    key: 'wedgeBars',
    title: 'Wedge bars for closed members',
    one: 'a wedge bar',
    fields: [
      name,
      length('barIn', 'Height, retracted'),
      { key: 'risePerIn', label: 'Rise per inch of pull', kind: 'number' },
      length('travelIn', 'Longest pull'),
      { key: 'shimsIn', label: 'Shims, with commas', kind: 'lengths' }
    ]
  }
];

/** As the form of settings takes it. */
export const asSetupField = ({ key, label, kind }: ToolField): SetupField =>
  typeof kind === 'object'
    ? { key, label, as: 'choice', options: kind.options }
    : { key, label, as: 'length', plain: kind === 'text' || kind === 'number' };

/** A tool as it is typed. */
export type TypedTool = { id: string } & Record<string, string>;
export type TypedTools = Record<Group, TypedTool[]> & { plate: boolean };

const written = (value: unknown): string =>
  value === null || value === undefined
    ? ''
    : typeof value === 'boolean'
      ? value
        ? 'yes'
        : 'no'
      : Array.isArray(value)
        ? value.join(', ')
        : String(value as string | number);

/** The shop's tools, as they would be typed. */
export const typedTools = (tools: DrivingTools): TypedTools => ({
  ...(Object.fromEntries(
    TOOL_GROUPS.map(({ key }) => [
      key,
      tools[key].map((tool) =>
        Object.fromEntries(Object.entries(tool).map(([field, value]) => [field, written(value)]))
      )
    ])
  ) as Record<Group, TypedTool[]>),
  plate: tools.plate
});

/** A new one, nothing said of it but the first of each choice. */
export const blankTool = (fields: readonly ToolField[]): TypedTool =>
  Object.fromEntries([
    ['id', crypto.randomUUID()],
    ...fields.map(({ key, kind }) => [
      key,
      typeof kind === 'object' ? (kind.options[0]?.value ?? '') : ''
    ])
  ]) as TypedTool;

function valueOf({ key, kind }: ToolField, typed: string): unknown {
  const text = typed.trim();
  const inches = (one: string): unknown => {
    const read = parseLength(one);
    return read.ok ? read.valueIn : one;
  };
  if (kind === 'text') return text;
  if (kind === 'number') return text === '' ? undefined : typedNumber(text);
  if (kind === 'length') return text === '' ? undefined : inches(text);
  if (kind === 'lengths') return text === '' ? [] : text.split(/[,;]/).map((one) => inches(one));
  if (key === 'dash') return text === '' ? null : Number(text);
  if (key === 'powered') return text === 'yes';
  return text;
}

/**
 * What was typed, read.
 *
 * @returns the tools, or null with what is wrong field by field (`<tool’s id>.<field>`)
 */
export function toolsOf(typed: TypedTools): {
  tools: DrivingTools | null;
  wrong: ReadonlyMap<string, string>;
} {
  const draft = {
    ...Object.fromEntries(
      TOOL_GROUPS.map(({ key, fields }) => [
        key,
        typed[key].map((tool) => ({
          id: tool.id,
          ...Object.fromEntries(
            fields.map((field) => [field.key, valueOf(field, tool[field.key] ?? '')])
          )
        }))
      ])
    ),
    plate: typed.plate
  };
  const read = DrivingTools.safeParse(draft);
  if (read.success) return { tools: read.data, wrong: new Map() };
  const wrong = new Map(
    read.error.issues.map(({ path, message }: z.core.$ZodIssue) => {
      const [group, at, field] = path;
      const tool = typed[group as Group][Number(at)];
      return [`${tool?.id ?? ''}.${String(field)}`, message];
    })
  );
  return { tools: null, wrong };
}
