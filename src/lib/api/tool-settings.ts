import { z } from 'zod';
import { ToolSetup } from '../../core/tool-setting/tool-setup.ts';
import { endpoint } from './endpoint.ts';

/** What a page sends to begin a setting; a repeat is stored once by its id. */
export const NewToolSetting = z.strictObject({
  id: z.uuid(),
  setup: ToolSetup,
  /** the joint’s run that it is for */
  run: z.strictObject({ jointId: z.uuid(), key: z.string().min(1).max(80) }).nullable(),
  work: z.string().trim().max(160).default('')
});
export type NewToolSetting = z.output<typeof NewToolSetting>;

export const beginToolSettingAt = endpoint({
  method: 'POST',
  path: () => '/api/tool-settings',
  request: NewToolSetting,
  response: z.uuid()
});
