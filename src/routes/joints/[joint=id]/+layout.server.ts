import { error } from '@sveltejs/kit';
import { driveEvents } from '$lib/server/events/drive-events';
import { signEvents } from '$lib/server/streams/sign-events';
import { reworkEvents } from '$lib/server/events/rework-events';
import { holeEvents } from '$lib/server/events/hole-events';
import { eventsOf } from '$lib/server/events/read';
import { latestIssue } from '$lib/server/services/issues';
import { outcomeOf } from '$lib/server/services/documents';
import { done } from '$lib/server/outcome';
import { settingsOfJoint } from '$lib/server/services/cage-tasks';
import { readyEvents, shopFigures, timedWorks } from '$lib/server/services/ready';
import { listBins } from '$lib/server/services/stock';
import { sinceOfIssue } from '$lib/server/services/open-release';
import { toolSettings } from '$lib/server/services/tool-settings';
import { shopRules } from '$lib/server/services/bound-rules';
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
  const [
    events,
    driving,
    rework,
    signed,
    since,
    held,
    ticks,
    figures,
    recorded,
    cages,
    toolsSet,
    shop
  ] = await Promise.all([
    issue.value ? eventsOf(database, holeEvents, issue.value.id) : [],
    issue.value ? eventsOf(database, driveEvents, issue.value.id) : [],
    issue.value ? eventsOf(database, reworkEvents, issue.value.id) : [],
    issue.value ? eventsOf(database, signEvents, issue.value.id) : [],
    issue.value ? sinceOfIssue(database, issue.value.id) : null,
    listBins(database),
    readyEvents(database, params.joint),
    shopFigures(database),
    timedWorks(database),
    settingsOfJoint(database, params.joint),
    toolSettings(database, params.joint),
    shopRules(database, joint.value)
  ]);
  return {
    joint: joint.value,
    issue: issue.value,
    events,
    driving,
    rework,
    signedBy: signed.at(-1)?.by ?? null,
    since,
    toolsSet,
    shop,
    drawers: held.filter(({ count }) => count > 0),
    ready: { events: ticks, figures, recorded, cages }
  };
};
