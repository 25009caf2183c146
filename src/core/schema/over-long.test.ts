import { z } from 'zod';
import { expect, it } from 'vitest';
import { readInput } from './read';
import { overLong } from './over-long';

let read = 0;
/** counts how often an item is read */
const item = z.number().refine(() => (read += 1) > 0);
const three = z.array(item).max(3, 'at most three');
const many = Array.from({ length: 1000 }, () => 'no number');

it('names a list that is too long, and reads none of its items', () => {
  read = 0;
  const schema = z.strictObject({ a: z.strictObject({ list: three.optional() }) });
  expect(overLong(schema, { a: { list: many } })).toEqual({
    path: ['a', 'list'],
    message: 'at most three'
  });
  const refused = readInput(schema, { a: { list: many } });
  expect(refused).toMatchObject({
    ok: false,
    error: { path: 'a.list', said: { text: 'at most three' } }
  });
  expect(read).toBe(0);
  // three that are wrong are wrong by themselves
  const wrong = readInput(schema, { a: { list: many.slice(0, 3) } });
  expect(wrong).toMatchObject({ ok: false, error: { path: 'a.list.0' } });
  expect(readInput(schema, { a: { list: [1, 2, 3] } }).ok).toBe(true);
});

it('finds it in lists of lists, behind defaults and in each of several shapes', () => {
  const nested = z.array(z.object({ rows: z.array(z.array(item).max(2)).default([]) }));
  expect(overLong(nested, [{ rows: [[1]] }, { rows: [[1], [1, 2, 3]] }])).toEqual({
    path: [1, 'rows', 1],
    message: 'at most 2 are taken; 3 were given'
  });
  const either = z.union([z.object({ list: three }), z.object({ list: z.array(item).max(9) })]);
  expect(overLong(either, { list: [1, 2, 3, 4] })).toBeNull();
  expect(overLong(either, { list: many })).toEqual({ path: ['list'], message: 'at most three' });
  const piped = z.preprocess((text) => text, three).nullable();
  expect(
    overLong(
      three.transform((list) => list.length),
      many
    )?.message
  ).toBe('at most three');
  expect(overLong(piped, null)).toBeNull();
});

it('has nothing to say of what is no list, or of fields that are not asked for', () => {
  expect(overLong(z.object({ list: three }), { list: 'text', other: many })).toBeNull();
  expect(overLong(z.object({ list: three }), null)).toBeNull();
  expect(overLong(z.string(), many)).toBeNull();
});
