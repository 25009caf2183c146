import { ShopPlates } from '../../core/devices/shop-plate.ts';
import { DrivingTools } from '../../core/drive/driving-tools.ts';
import { ShopFigures } from '../../core/prepare/shop-figures.ts';
import { z } from 'zod';
import { endpoint } from './endpoint.ts';

/** The shop's times and holders; what tools and plates it has is set by itself, and stays. */
export const OwnFigures = ShopFigures.omit({ tools: true, plates: true });

/** A change as it was made: on what it began from, so that what another hand changed meanwhile stays. */
const changed = <S extends z.ZodType>(schema: S) => z.strictObject({ was: schema, now: schema });

export const setShopFiguresAt = endpoint({
  method: 'PUT',
  path: () => '/api/shop',
  request: changed(OwnFigures),
  response: ShopFigures
});

export const setToolsAt = endpoint({
  method: 'PUT',
  path: () => '/api/shop/tools',
  request: changed(DrivingTools),
  response: ShopFigures
});

export const setPlatesAt = endpoint({
  method: 'PUT',
  path: () => '/api/shop/plates',
  request: changed(ShopPlates),
  response: ShopFigures
});
