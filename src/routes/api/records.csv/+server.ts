import { error } from '@sveltejs/kit';
import { readWish } from '$lib/api/records-wish.ts';
import { csvFile } from '$lib/server/answers';
import { rivetsTable } from '$lib/server/services/rivets-table';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ url, locals }) => {
  const { wish, problems } = readWish(url.searchParams);
  if (problems.length > 0) error(400, problems.join('; '));
  const table = await rivetsTable(locals.database(), wish);
  if (!table.ok) error(422, table.inWords(locals.length));
  return csvFile('rivets-on-record.csv', table.value);
};
