import { addCageAt } from '$lib/api/cages.ts';
import { serve } from '$lib/server/serve';
import { addCage } from '$lib/server/services/cages';

export const POST = serve(addCageAt, ({ database, body, person }) =>
  addCage(database, body.cage, body.id, person.id)
);
