import { setRulesAt } from '$lib/api/joints.ts';
import { serveAnyone } from '$lib/server/serve';
import { setJointProfile } from '$lib/server/services/joints';

export const PUT = serveAnyone(setRulesAt, ({ database, params, body, person }) =>
  setJointProfile(database, params['joint'] ?? '', body, person?.id ?? null)
);
