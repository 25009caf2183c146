import { error } from '@sveltejs/kit';
import { stationOf } from '$lib/stations/stations';
import type { PageLoad } from './$types';

/** The code of a station comes with it, and no other's. */
export const load: PageLoad = async ({ params }) => {
  const station = stationOf(params.station);
  if (!station) error(404, 'No such stage.');
  return { Page: (await station.page()).default };
};
