import { error } from '@sveltejs/kit';
import { driveEvents } from '$lib/server/events/drive-events';
import { signEvents } from '$lib/server/streams/sign-events';
import { reworkEvents } from '$lib/server/events/rework-events';
import { holeEvents } from '$lib/server/events/hole-events';
import { eventsOf } from '$lib/server/events/read';
import { latestRelease } from '$lib/server/services/releases';
import { outcomeOf } from '$lib/server/services/documents';
import { done } from '$lib/server/outcome';
import { settingsOfJoint } from '$lib/server/services/cage-tasks';
import { readyEvents, shopFigures, timedWorks } from '$lib/server/services/ready';
import { listBins } from '$lib/server/services/stock';
import { sinceOfRelease } from '$lib/server/services/open-release';
import { toolSettings } from '$lib/server/services/tool-settings';
import { shopRules } from '$lib/server/services/bound-rules';
import { getJoint } from '$lib/server/services/joints';
import type { LayoutServerLoad } from './$types';

export const load: LayoutServerLoad = async ({ params, locals }) => {
  const database = locals.database();
  const [joint, release] = await Promise.all([
    getJoint(database, params.joint),
    outcomeOf(async () => done(await latestRelease(database, params.joint)))
  ]);
  if (!joint.ok)
    error(
      joint.reason === 'unreadable' ? 422 : 404,
      joint.reason === 'unreadable' ? joint.message : 'There is no such joint.'
    );
  if (!release.ok) error(422, release.message);
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
    release.value ? eventsOf(database, holeEvents, release.value.id) : [],
    release.value ? eventsOf(database, driveEvents, release.value.id) : [],
    release.value ? eventsOf(database, reworkEvents, release.value.id) : [],
    release.value ? eventsOf(database, signEvents, release.value.id) : [],
    release.value ? sinceOfRelease(database, release.value.id) : null,
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
    release: release.value,
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
