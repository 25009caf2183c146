import type { ParamMatcher } from '@sveltejs/kit';

/** Records are named by UUIDs; anything else is a page that does not exist. */
export const match: ParamMatcher = (text) =>
  /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i.test(text);
