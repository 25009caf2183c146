import { setRulesAt } from '$lib/api/joints.ts';
import { serve } from '$lib/server/serve';
import { setJointProfile } from '$lib/server/services/joints';

export const PUT = serve(setRulesAt, ({ database, params, body, person }) =>
  setJointProfile(database, params['joint'] ?? '', body, person.id)
);
