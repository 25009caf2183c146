import { issueJointAt } from '$lib/api/joints.ts';
import { serve } from '$lib/server/serve';
import { issueJoint } from '$lib/server/services/issue-joint';

export const POST = serve(issueJointAt, ({ database, params, body, person }) =>
  issueJoint(database, params['joint'] ?? '', body.revision, person.id)
);
