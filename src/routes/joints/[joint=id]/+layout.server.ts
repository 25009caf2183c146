import { error } from '@sveltejs/kit';
import { holeEvents } from '$lib/server/events/hole-events';
import { eventsOf } from '$lib/server/events/read';
import { latestIssue } from '$lib/server/services/issues';
import { outcomeOf } from '$lib/server/services/documents';
import { done } from '$lib/server/services/outcome';
import { settingsOfJoint } from '$lib/server/services/cage-tasks';
import { readyEvents, shopFigures, timedWorks } from '$lib/server/services/ready';
import { onHand } from '$lib/server/services/stock';
import { getJoint } from '$lib/server/services/joints';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params, locals }) => {
  const database = locals.database();
  const [joint, issue] = await Promise.all([
    getJoint(database, params.joint),
    outcomeOf(async () => done(await latestIssue(database, params.joint)))
  ]);
  if (!joint.ok)
    error(
      joint.reason === 'unreadable' ? 422 : 404,
      joint.reason === 'unreadable' ? joint.message : 'There is no such joint.'
    );
  if (!issue.ok) error(422, issue.message);
  const [events, held, ticks, figures, recorded, cages] = await Promise.all([
    issue.value ? eventsOf(database, holeEvents, issue.value.id) : [],
    onHand(database),
    readyEvents(database, params.joint),
    shopFigures(database),
    timedWorks(database),
    settingsOfJoint(database, params.joint)
  ]);
  return {
    joint: joint.value,
    issue: issue.value,
    events,
    onHand: held,
    ready: { events: ticks, figures, recorded, cages }
  };
};
