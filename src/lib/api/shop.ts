import { ShopFigures } from '../../core/ready/shop-figures.ts';
import { endpoint } from './endpoint.ts';

export const setShopFiguresAt = endpoint({
  method: 'PUT',
  path: () => '/api/shop',
  request: ShopFigures,
  response: ShopFigures
});
