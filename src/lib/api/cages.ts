import { z } from 'zod';
import { Cage } from '../../core/prepare/cage/cage.ts';
import { CageSetup } from '../../core/prepare/cage/setup.ts';
import { endpoint } from './endpoint.ts';

export const addCageAt = endpoint({
  method: 'POST',
  path: () => '/api/cages',
  request: z.strictObject({ id: z.uuid(), cage: Cage }),
  response: z.uuid()
});

/** What a page sends to begin a setting; a repeat is stored once by its id. */
export const NewSetting = z.strictObject({
  id: z.uuid(),
  setup: CageSetup,
  /** the joint's step that it is for */
  step: z
    .strictObject({
      jointId: z.uuid(),
      key: z.string().min(1).max(60),
      /** what of the joint the setting rests on */
      rests: z.string().max(300).default('')
    })
    .nullable(),
  work: z.string().trim().max(160).default('')
});
export type NewSetting = z.output<typeof NewSetting>;

export const beginSettingAt = endpoint({
  method: 'POST',
  path: ({ cage }: { cage: string }) => `/api/cages/${cage}/settings`,
  request: NewSetting,
  response: z.uuid()
});
