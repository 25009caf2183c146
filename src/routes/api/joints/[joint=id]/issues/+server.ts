import { releaseJointAt } from '$lib/api/joints.ts';
import { serve } from '$lib/server/serve';
import { releaseJoint } from '$lib/server/services/release-joint';

export const POST = serve(releaseJointAt, ({ database, params, body, person }) =>
  releaseJoint(database, params['joint'] ?? '', body.revision, person.id)
);
