import { error } from '@sveltejs/kit';
import { eventsOfIssue } from '$lib/server/services/hole-events';
import { latestIssue } from '$lib/server/services/issues';
import { settingsOfJoint } from '$lib/server/services/cage-tasks';
import { readyEvents, shopFigures, timedWorks } from '$lib/server/services/ready';
import { onHand } from '$lib/server/services/stock';
import { getJoint } from '$lib/server/services/joints';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params, locals }) => {
  const database = locals.database();
  const joint = await getJoint(database, params.joint);
  if (!joint.ok) error(404, 'There is no such joint.');
  const issue = await latestIssue(database, params.joint);
  return {
    joint: joint.value,
    issue,
    events: issue ? await eventsOfIssue(database, issue.id) : [],
    onHand: await onHand(database),
    ready: {
      events: await readyEvents(database, params.joint),
      figures: await shopFigures(database),
      recorded: await timedWorks(database),
      cages: await settingsOfJoint(database, params.joint)
    }
  };
};
