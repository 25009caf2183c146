import { describe, expect, it } from 'vitest';
import { KINDS } from '$core/kinds/joint.ts';
import { newJoint } from '$core/kinds/new-joint.ts';
import { fieldName } from './field-names';

it.each([
  ['definition.widthIn', 'joint width'],
  ['definition.sheets.sheet-2.thicknessIn', 'sheet 2, thickness'],
  ['sheets.gone.thicknessIn', 'sheet gone, thickness'],
  ['sheets.order', 'order of the sheets'],
  ['title', 'name of the joint'],
  ['definition.sheets', 'sheets']
])('names %s as %s', (path, name) => {
  expect(fieldName(path, newJoint('lap'))).toBe(name);
});

describe('every kind', () => {
  it.each(KINDS.map((kind) => [kind.key, kind] as const))('names each field of a %s', (_, kind) => {
    for (const key of Object.keys(kind.blank))
      if (key !== 'kind') expect(fieldName(key, kind.blank), key).toMatch(/^[a-z][a-z ,’-]+$/);
  });
});
