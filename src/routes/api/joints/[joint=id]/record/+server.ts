import { signingAt } from '$lib/api/signing.ts';
import { serve } from '$lib/server/serve';
import { signingView } from '$lib/server/services/signing';

export const GET = serve(signingAt, ({ database, params, person }) =>
  signingView(database, params['joint'] ?? '', person.id)
);
