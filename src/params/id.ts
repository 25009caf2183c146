import type { ParamMatcher } from '@sveltejs/kit';
import { isUuid } from '$lib/uuid';

/** Records are named by UUIDs; anything else is a page that does not exist. */
export const match: ParamMatcher = (text) => isUuid(text);
