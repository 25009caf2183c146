import { expect, it } from 'vitest';
import { readOneWay } from './strict-json';

const whyNot = (text: string) => {
  const read = readOneWay(text);
  return read.ok ? null : read.message;
};

it('reads what every reader reads alike', () => {
  expect(readOneWay('{"a": [1, {"a": 2}, {"a": 3}], "b": {"a": null}, "c": "é \\"x\\""}')).toEqual({
    ok: true,
    value: { a: [1, { a: 2 }, { a: 3 }], b: { a: null }, c: 'é "x"' }
  });
});

it.each([
  // the real list after an empty one, and the other way round; named by escapes too
  ['{"heads": [],\n "heads": [1]}', /^line 2: a second member named "heads"/],
  ['{"record": {"heads": [1], "he\\u0061ds": []}}', /a second member named "heads"/],
  ['[{"a": 1}, {"b": {"c": 1, "d": {"c": 2}, "c": 3}}]', /a second member named "c"/],
  ['{"record": {"__proto__": {"heads": []}}}', /a member named __proto__/],
  ['{"record": {"__pr\\u006fto__": 1}}', /a member named __proto__/],
  ['{"a": 1e999}', /a number that is larger than any/],
  ['{"a": "\\ud800"}', /a character that cannot be stored/],
  ['{"a": 01}', /^not valid JSON/],
  ['{"a": 1,}', /^not valid JSON/],
  ['{"a": 1} // signed', /^not valid JSON/],
  ['', /^not valid JSON/]
])('refuses %s', (text, why) => expect(whyNot(text)).toMatch(why));
