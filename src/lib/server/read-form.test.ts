import { expect, it } from 'vitest';
import { z } from 'zod';
import { formOf, readForm } from './read-form';

const posted = (fields: number, more: Record<string, string> = {}) => {
  const form = new FormData();
  for (let at = 0; at < fields; at++) form.append(`f${at}`, 'x');
  for (const [name, value] of Object.entries(more)) form.set(name, value);
  return new Request('http://localhost/', { method: 'POST', body: form });
};

it('reads a form of a hundred fields, and no more', async () => {
  expect([...(await formOf(posted(100))).keys()]).toHaveLength(100);
  await expect(formOf(posted(101))).rejects.toMatchObject({
    status: 400,
    body: { message: 'a form has at most 100 fields; 101 were sent' }
  });
});

it('says the first thing that is wrong, and reads what is right', async () => {
  const Named = z.object({ name: z.string().min(2, 'a name has two letters') });
  expect(await readForm(posted(0, { name: 'x' }), Named)).toEqual({
    ok: false,
    message: 'a name has two letters'
  });
  expect(await readForm(posted(0, { name: 'Ilse' }), Named)).toEqual({
    ok: true,
    value: { name: 'Ilse' }
  });
});
