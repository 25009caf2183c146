import type { ParamMatcher } from '@sveltejs/kit';
import { GAUGE_FILES } from '$lib/gauge-files.ts';

export const match: ParamMatcher = (text) => GAUGE_FILES.some((file) => file === text);
