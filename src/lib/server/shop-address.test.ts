import { expect, it } from 'vitest';
import { shopAddress } from './shop-address';

it.each([
  ['http://127.0.0.1:4280', undefined, null],
  ['http://localhost:4280', undefined, null],
  ['http://[::1]:4280', undefined, null],
  ['http://127.4.5.6', undefined, null],
  ['http://192.168.10.20:4280', undefined, 'http://192.168.10.20:4280'],
  ['https://shop.example', undefined, 'https://shop.example'],
  ['http://127.0.0.1:4280', 'http://192.168.10.20:4280/', 'http://192.168.10.20:4280'],
  // a setting that is none is no reason to print another
  ['http://192.168.10.20:4280', 'http://127.0.0.1', null],
  ['http://192.168.10.20:4280', 'bench one', null],
  ['http://192.168.10.20:4280', 'javascript:alert(1)', null]
])('asked at %s with %s: %s', (asked, setting, wanted) => {
  expect(shopAddress(asked, setting)).toBe(wanted);
});
