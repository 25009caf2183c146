import type { ParamMatcher } from '@sveltejs/kit';
import { STATIONS } from '$lib/stations/stations.ts';

export const match: ParamMatcher = (text) => STATIONS.some(({ key }) => key === text);
