import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'svelte/compiler';
import ts from 'typescript';

/** One text that a person may read, where it stands; what is put in at run time is `{…}`. */
export interface FoundText {
  file: string;
  text: string;
}

/** A phrase, or a word that begins a label; codes, paths and statements are none. */
const isText = (text: string): boolean =>
  (/[A-Za-z]{2,} [A-Za-z]{2,}/.test(text) || /^[A-Z][a-z]+$/.test(text)) &&
  !/\bselect\b[^]*\bfrom\b|^\s*(insert|update|delete|create|with)\b|\br\.\w+ (=|in|not)|^#/.test(
    text
  );

function ofScript(source: string, add: (text: string) => void): void {
  const walk = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isLiteralTypeNode(node)) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) add(node.text);
    else if (ts.isTemplateExpression(node)) {
      add(node.head.text + node.templateSpans.map(({ literal }) => `{…}${literal.text}`).join(''));
      node.templateSpans.forEach(({ expression }) => walk(expression));
    } else ts.forEachChild(node, walk);
  };
  walk(ts.createSourceFile('a.ts', source, ts.ScriptTarget.Latest));
}

/** Attributes that nobody reads. */
const UNREAD = /^(class|d|style|id|href|viewBox|transform|points|role|name|type|for|data-.*)$/;

function ofMarkup(source: string, add: (text: string) => void): void {
  const seen = new Set<unknown>();
  const walk = (node: unknown): void => {
    if (node === null || typeof node !== 'object' || seen.has(node)) return;
    seen.add(node);
    const { type, ...rest } = node as { type?: string } & Record<string, unknown>;
    if (type === 'ImportDeclaration' || type === 'StyleSheet' || type === 'TSLiteralType') return;
    if (type === 'Attribute' && UNREAD.test(String(rest['name']))) return;
    if (type === 'Text') add(String(rest['data']).replace(/\s+/g, ' ').trim());
    else if (type === 'Literal' && typeof rest['value'] === 'string') add(rest['value']);
    else if (type === 'TemplateLiteral') {
      const quasis = rest['quasis'] as { value: { cooked: string } }[];
      add(quasis.map(({ value }) => value.cooked).join('{…}'));
      walk(rest['expressions']);
    } else Object.values(rest).forEach(walk);
  };
  const { instance, module, fragment } = parse(source, { modern: true });
  [instance, module, fragment].forEach(walk);
}

const READ = /\.(ts|svelte)$/;
const UNREAD_FILES = /\.test\.ts$|migrations/;

/** Every text of pages, messages, labels and files below some folders, from the source itself. */
export function textsOf(folders: readonly string[]): FoundText[] {
  const found: FoundText[] = [];
  for (const folder of folders)
    for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' })) {
      const file = join(folder, name);
      if (!READ.test(file) || UNREAD_FILES.test(file)) continue;
      const source = readFileSync(file, 'utf8');
      const add = (text: string) => void (isText(text) && found.push({ file, text }));
      if (file.endsWith('.svelte')) ofMarkup(source, add);
      else ofScript(source, add);
    }
  return found;
}
