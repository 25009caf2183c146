import type { ParamMatcher } from '@sveltejs/kit';
import { STREAM_NAMES } from '$core/events/streams.ts';

export const match: ParamMatcher = (param) => STREAM_NAMES.has(param);
