import { beginSettingAt } from '$lib/api/cages.ts';
import { serve } from '$lib/server/serve';
import { beginSetting } from '$lib/server/services/cages';

export const POST = serve(beginSettingAt, ({ database, params, body, person }) =>
  beginSetting(database, params['cage'] ?? '', body, person.id)
);
