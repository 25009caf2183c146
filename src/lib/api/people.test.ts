import { expect, it } from 'vitest';
import { OwnPin } from './people.ts';

const isPin = (pin: string) => OwnPin.safeParse({ password: 'x', pin }).success;

it('a PIN is none that everyone tries first', () => {
  expect(['830275', '112358', '9081726354', ''].filter(isPin)).toHaveLength(4);
  expect(
    ['123456', '876543', '000000', '121212', '13579', '135799x', '1357913'].filter(isPin)
  ).toEqual(['1357913']);
});

it.each([
  ['', null],
  ['271828', null],
  ['2718281828', null],
  ['27182', 'PIN: 6 to 10 digits'],
  ['27182818284', 'PIN: 6 to 10 digits'],
  ['abcdef', 'PIN: 6 to 10 digits'],
  ['123456', 'PIN: at least three different digits, no sequence such as 123456'],
  ['987654', 'PIN: at least three different digits, no sequence such as 123456'],
  ['778877', 'PIN: at least three different digits, no sequence such as 123456']
])('a PIN of %j: %s', (pin, said) => {
  const read = OwnPin.safeParse({ password: 'x', pin });
  expect(read.success ? null : read.error.issues[0]?.message).toBe(said);
});
