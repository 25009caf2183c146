import { saveJointAt } from '$lib/api/joints.ts';
import { serveAnyone } from '$lib/server/serve';
import { saveJoint } from '$lib/server/services/joints';

export const PUT = serveAnyone(saveJointAt, ({ database, params, body, person }) =>
  saveJoint(database, params['joint'] ?? '', body, person?.id ?? null)
);
