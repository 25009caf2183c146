import { beginToolSettingAt } from '$lib/api/tool-settings.ts';
import { serve } from '$lib/server/serve';
import { beginToolSetting } from '$lib/server/services/tool-settings';

export const POST = serve(beginToolSettingAt, ({ database, body, person }) =>
  beginToolSetting(database, body, person.id)
);
