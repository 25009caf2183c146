import { signingAt } from '$lib/api/signing.ts';
import { serveAnyone } from '$lib/server/serve';
import { signingView } from '$lib/server/services/signing';

export const GET = serveAnyone(signingAt, ({ database, params, person }) =>
  signingView(database, params['joint'] ?? '', person?.id ?? null)
);
