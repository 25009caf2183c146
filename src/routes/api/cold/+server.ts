import { coldAt, takeOutAt } from '$lib/api/cold.ts';
import { serve } from '$lib/server/serve';
import { coldView, takeOut } from '$lib/server/services/cold-batches';
import { done } from '$lib/server/outcome';

export const GET = serve(coldAt, async ({ database }) => done(await coldView(database)));
export const POST = serve(takeOutAt, ({ database, body, person }) =>
  takeOut(database, body, person)
);
