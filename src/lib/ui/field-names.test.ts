import { expect, it } from 'vitest';
import { fieldName } from './field-names';

it.each([
  ['definition.widthIn', 'joint width'],
  ['definition.sheets.1.thicknessIn', 'sheet 2, thickness'],
  ['title', 'name of the joint'],
  ['definition.sheets', 'sheets']
])('names %s as %s', (path, name) => {
  expect(fieldName(path)).toBe(name);
});
