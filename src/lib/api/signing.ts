import { z } from 'zod';
import { Must, Told } from '../../core/signing/told.ts';
import { endpoint, NOTHING } from './endpoint.ts';

/** Where the newest release of a joint stands before its signature, as the server weighs it. */
export const SigningView = z.strictObject({
  releaseId: z.uuid(),
  number: z.int(),
  must: z.array(Must),
  told: z.array(Told),
  signing: z.enum(['another', 'anyone']),
  /** who drove, by their names; and whether whoever asks is one of them */
  drivers: z.array(z.string()),
  droveOneself: z.boolean(),
  signature: z
    .strictObject({ by: z.string(), at: z.string(), entitled: z.string(), digest: z.string() })
    .nullable()
});
export type SigningView = z.output<typeof SigningView>;

export const signingAt = endpoint({
  method: 'GET',
  path: ({ joint }: { joint: string }) => `/api/joints/${joint}/record`,
  request: NOTHING,
  response: SigningView.nullable()
});
