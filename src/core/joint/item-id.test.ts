import { expect, it } from 'vitest';
import { nextId } from './item-id';

it('makes an id that no item has, whatever the others are called', () => {
  const ids = (...own: string[]) => own.map((id) => ({ id }));
  expect(nextId([], 'sheet')).toBe('sheet-1');
  expect(nextId(ids('sheet-1', 'sheet-3'), 'sheet')).toBe('sheet-4');
  expect(nextId(ids('sheet-2'), 'sheet')).toBe('sheet-3');
  expect(nextId(ids('x-100000000000000000000', 'sheet-3'), 'sheet')).toBe('sheet-4');
});
