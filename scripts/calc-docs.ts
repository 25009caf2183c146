/** docs/calc.md and docs/schemas, made from the schemas and the docstrings of the calculations. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { calc, OPERATIONS } from '../src/core/calc.ts';
import { JointFile } from '../src/core/exchange/joint-file.ts';
import { Joint } from '../src/core/kinds/joint.ts';
import { SealedRecord } from '../src/core/signing/record.ts';
import { RuleProfile } from '../src/core/rules/profile.ts';
import { answerInWords } from '../src/lib/words/arithmetic.ts';

interface DocString {
  summary: string;
  tags: { tag: string; text: string }[];
  example: unknown;
}

/** Docstrings that carry an `@example` of a calculation, by its name. */
function docStrings(coreFolder: string): Map<string, DocString> {
  const found = new Map<string, DocString>();
  for (const name of readdirSync(coreFolder, { recursive: true, encoding: 'utf8' })) {
    if (!name.endsWith('.ts') || name.endsWith('.test.ts')) continue;
    const source = readFileSync(join(coreFolder, name), 'utf8');
    for (const [, block = ''] of source.matchAll(/\/\*\*\n([\s\S]*?)\*\//g)) {
      const text = block.replace(/^ *\* ?/gm, '').trim();
      const example = /@example (\S+) (\{.*?\}) -> /.exec(text);
      if (!example) continue;
      const [summary = '', ...tagged] = text.split(/\n(?=@)/);
      found.set(example[1] ?? '', {
        summary: oneLine(summary),
        tags: tagged
          .map((line) => /^@(\w+) ([\s\S]*)$/.exec(line))
          .flatMap((match) =>
            match ? [{ tag: match[1] ?? '', text: oneLine(match[2] ?? '') }] : []
          )
          .filter(({ tag }) => tag !== 'example'),
        example: JSON.parse(example[2] ?? '{}')
      });
    }
  }
  return found;
}

const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();

type Schema = Record<string, unknown>;
const schemaOf = (schema: z.ZodType, io: 'input' | 'output'): Schema =>
  z.toJSONSchema(schema, { io, unrepresentable: 'any' });

const isLength = (type: unknown): boolean =>
  Array.isArray(type) && type.includes('number') && type.includes('string');
/** The schema of what was read once: a length is a number there, never the text that was typed. */
const asStored = (schema: unknown): unknown =>
  Array.isArray(schema)
    ? schema.map(asStored)
    : typeof schema === 'object' && schema !== null
      ? Object.fromEntries(
          Object.entries(schema).map(([key, value]) => [
            key,
            key === 'type' && isLength(value) ? 'number' : asStored(value)
          ])
        )
      : schema;

/** A property's type in a word or two. */
function typeWord(property: Schema): string {
  if (Array.isArray(property['enum']))
    return property['enum'].map((value) => JSON.stringify(value)).join(' | ');
  if ('const' in property) return JSON.stringify(property['const']);
  const either = (property['anyOf'] ?? property['oneOf']) as Schema[] | undefined;
  if (either) return either.map(typeWord).join(' | ');
  const type = property['type'];
  if (type === 'array') return `list of ${typeWord((property['items'] ?? {}) as Schema)}`;
  if (type === 'object') {
    const fields = Object.entries((property['properties'] ?? {}) as Record<string, Schema>);
    return `{ ${fields.map(([name, field]) => `${name}: ${typeWord(field)}`).join(', ')} }`;
  }
  // A number of inches or a text with a unit: the only thing here that may be either.
  if (Array.isArray(type)) return 'length';
  if (type === 'string') return 'text';
  if (type === 'integer') return 'whole number';
  return typeof type === 'string' ? type : 'anything';
}

function inputTable(schema: Schema): string[] {
  const required = new Set((schema['required'] ?? []) as string[]);
  const properties = Object.entries((schema['properties'] ?? {}) as Record<string, Schema>);
  return [
    '| input | type | default |',
    '|---|---|---|',
    ...properties.map(([name, property]) => {
      const fallback =
        'default' in property
          ? `\`${JSON.stringify(property['default'])}\``
          : required.has(name)
            ? 'needed'
            : 'none';
      return `| \`${name}\` | ${typeWord(property).replaceAll('|', '\\|')} | ${fallback} |`;
    })
  ];
}

function section(op: string, doc: DocString): string[] {
  const operation = OPERATIONS[op];
  if (!operation) throw new Error(`no calculation ${op}`);
  const answer = answerInWords(calc(op, doc.example));
  if (!answer.ok) throw new Error(`the example of ${op} is refused: ${answer.error.message}`);
  return [
    `## ${op}`,
    '',
    doc.summary,
    '',
    ...inputTable(schemaOf(operation.input, 'input')),
    '',
    ...doc.tags.map(({ tag, text }) => `- **${tag}**: ${text}`),
    '',
    '```',
    `> ${JSON.stringify({ op, input: doc.example })}`,
    JSON.stringify(answer.result),
    ...answer.work.map((line) =>
      `  ${line.label}: ${line.formula} = ${line.value} ${line.unit}`.trimEnd()
    ),
    '```',
    ''
  ];
}

/**
 * Every generated document.
 *
 * @param coreFolder where the core's sources lie
 * @returns content by path below docs/
 */
export function calcDocs(coreFolder: string): Map<string, string> {
  const docs = docStrings(coreFolder);
  const files = new Map<string, string>();
  const lines = [
    '# The calculations',
    '',
    'Generated from the schemas and docstrings by `./zanjador docs`; a test fails when it is stale.',
    'A *length* is a number of inches, or a text: a decimal, `a/b` or `n a/b`, then nothing, `in`, `"`, `mm`, `cm` or `thou`.',
    'The arithmetic under each example is what the pages show.',
    '',
    'Over HTTP (`POST /api/calc/<name>`): 200 with the result, 400 where the input is not understood, 422 where the rule says no, 413 for',
    'a body over 256 kB, 429 for too many requests in a minute, by their cost. The command takes any size that the limits allow.',
    ''
  ];
  for (const [op, operation] of Object.entries(OPERATIONS)) {
    const doc = docs.get(op);
    if (!doc) throw new Error(`${op} has no docstring with an example`);
    lines.push(...section(op, doc));
    files.set(
      `schemas/${op}.json`,
      json({
        title: op,
        description: doc.summary,
        input: schemaOf(operation.input, 'input'),
        result: schemaOf(operation.result, 'output')
      })
    );
  }
  files.set('schemas/joint.json', json({ title: 'joint', ...schemaOf(Joint, 'input') }));
  files.set(
    'schemas/joint-file.json',
    json({ title: 'joint file', ...schemaOf(JointFile, 'input') })
  );
  files.set(
    'schemas/rule-profile.json',
    json({ title: 'rule profile', ...schemaOf(RuleProfile, 'input') })
  );
  files.set(
    'schemas/record.json',
    json({ title: 'signed record', ...(asStored(schemaOf(SealedRecord, 'input')) as Schema) })
  );
  files.set('calc.md', lines.join('\n'));
  return files;
}

const json = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`;
