import { saveJointAt } from '$lib/api/joints.ts';
import { serve } from '$lib/server/serve';
import { saveJoint } from '$lib/server/services/joints';

export const PUT = serve(saveJointAt, ({ database, params, body, person }) =>
  saveJoint(database, params['joint'] ?? '', body, person.id)
);
