import { expect, it } from 'vitest';
import { OwnPin } from './people.ts';

const isPin = (pin: string) => OwnPin.safeParse({ password: 'x', pin }).success;

it('a PIN is none that everyone tries first', () => {
  expect(['830275', '112358', '9081726354', ''].filter(isPin)).toHaveLength(4);
  expect(
    ['123456', '876543', '000000', '121212', '13579', '135799x', '1357913'].filter(isPin)
  ).toEqual(['1357913']);
});
