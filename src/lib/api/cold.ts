import { z } from 'zod';
import { ColdView, TakeOut } from '../cold-view.ts';
import { endpoint, NOTHING } from './endpoint.ts';

export const coldAt = endpoint({
  method: 'GET',
  path: () => '/api/cold',
  request: NOTHING,
  response: ColdView
});

export const takeOutAt = endpoint({
  method: 'POST',
  path: () => '/api/cold',
  request: TakeOut,
  response: z.uuid()
});
