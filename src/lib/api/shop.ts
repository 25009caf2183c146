import { ShopPlates } from '../../core/devices/shop-plate.ts';
import { DrivingTools } from '../../core/drive/driving-tools.ts';
import { ShopFigures } from '../../core/ready/shop-figures.ts';
import { endpoint } from './endpoint.ts';

/** The shop's times and holders; what tools and plates it has is set by itself, and stays. */
export const OwnFigures = ShopFigures.omit({ tools: true, plates: true });

export const setShopFiguresAt = endpoint({
  method: 'PUT',
  path: () => '/api/shop',
  request: OwnFigures,
  response: ShopFigures
});

export const setToolsAt = endpoint({
  method: 'PUT',
  path: () => '/api/shop/tools',
  request: DrivingTools,
  response: ShopFigures
});

export const setPlatesAt = endpoint({
  method: 'PUT',
  path: () => '/api/shop/plates',
  request: ShopPlates,
  response: ShopFigures
});
