/** A number from 0 up to 1. */
export type Random = () => number;

export const pick = <T>(random: Random, from: readonly T[]): T => {
  const one = from[Math.floor(random() * from.length)];
  if (one === undefined) throw new RangeError('nothing to choose from');
  return one;
};

const nested = (depth: number): unknown => {
  let value: unknown = 1;
  for (let at = 0; at < depth; at++) value = [value];
  return value;
};

/** Names that every object answers to, though nobody gave them. */
export const PROTOTYPE = ['constructor', 'toString', 'valueOf', 'hasOwnProperty', '__proto__'];

/** What has broken programs before. */
const STRANGE: readonly unknown[] = [
  null,
  true,
  0,
  -0,
  -1,
  1e-320,
  1e308,
  2 ** 53,
  2 ** 31,
  0.1 + 0.2,
  '',
  ' ',
  '0',
  '-1',
  '1/0',
  '1e999',
  'NaN',
  '1 1/8',
  '3,2 mm',
  '99999999999 mm',
  '0x10',
  '1;2',
  "'; drop table people; --",
  '<script>alert(1)</script>',
  '=1+1',
  '../../etc/passwd',
  '%00',
  '\u0000',
  '\ud800',
  '\u202eabc',
  ...PROTOTYPE,
  'x'.repeat(5000),
  '0000-01-01T00:00:00Z',
  '9999-12-31T23:59:59.999Z',
  '00000000-0000-0000-0000-000000000000',
  [],
  {},
  [[[]]],
  nested(80),
  Array.from({ length: 3000 }, (_, at) => at)
];

type Branch = Record<string, unknown> | unknown[];
const isBranch = (value: unknown): value is Branch => typeof value === 'object' && value !== null;

/** Every place in a JSON value, as its branch and key. */
function placesIn(value: unknown): [Branch, string][] {
  const places: [Branch, string][] = [];
  const walk = (at: unknown) => {
    if (!isBranch(at) || places.length > 5000) return;
    for (const key of Object.keys(at)) {
      places.push([at, key]);
      walk((at as Record<string, unknown>)[key]);
    }
  };
  walk(value);
  return places;
}

function nudged(random: Random, value: unknown): unknown {
  if (typeof value === 'number')
    return pick(random, [value * 10, value / 10, -value, value + 1, value + 1e-9, value * 1000]);
  if (typeof value === 'string')
    return pick(random, [
      `${value}${value}`,
      value.slice(1),
      `${value} mm`,
      ` ${value}`,
      `-${value}`
    ]);
  return pick(random, STRANGE);
}

/** As JSON carries it: `__proto__` is a name like any other. */
const put = (branch: Branch, key: string, value: unknown): void => {
  Object.defineProperty(branch, key, {
    value: structuredClone(value),
    enumerable: true,
    writable: true,
    configurable: true
  });
};

/** A copy of a JSON value with one thing wrong with it, or a few. */
export function mutated(random: Random, seed: unknown): unknown {
  const root: { value: unknown } = { value: structuredClone(seed) };
  const times = 1 + Math.floor(random() * 3);
  for (let time = 0; time < times; time++) {
    const places = placesIn(root);
    if (places.length === 0) break;
    const [branch, key] = pick(random, places);
    const now = (branch as Record<string, unknown>)[key];
    const how = random();
    if (how < 0.35) put(branch, key, pick(random, STRANGE));
    else if (how < 0.6) put(branch, key, nudged(random, now));
    else if (how < 0.72) {
      if (Array.isArray(branch)) branch.splice(Number(key), 1);
      else Reflect.deleteProperty(branch, key);
    } else if (how < 0.8 && Array.isArray(branch)) branch.push(structuredClone(now));
    else if (how < 0.9 && !Array.isArray(branch))
      put(branch, pick(random, ['extra', 'id', ...PROTOTYPE]), pick(random, STRANGE));
    else {
      // the value of another place
      const [other, name] = pick(random, places);
      put(branch, key, (other as Record<string, unknown>)[name]);
    }
  }
  return root.value;
}

/** Values of a size that nobody types: up to what a request may bring, and beyond. */
const SIZED: readonly ((size: number) => unknown)[] = [
  (size) => 'x'.repeat(size),
  (size) => '9'.repeat(size),
  (size) => Array.from({ length: size / 2 }, () => 1),
  (size) => Array.from({ length: size / 8 }, () => '1 1/8'),
  (size) => Array.from({ length: size / 4 }, () => [])
];
const SIZES = [1000, 20_000, 100_000, 250_000, 300_000];

/** A copy of a JSON value in which one place is as large as that. */
export function swollen(random: Random, seed: unknown): unknown {
  const root: { value: unknown } = { value: structuredClone(seed) };
  const [branch, key] = pick(random, placesIn(root));
  put(branch, key, pick(random, SIZED)(pick(random, SIZES)));
  return root.value;
}

/** A text with some of its letters gone, doubled, or of another alphabet. */
export function mutatedText(random: Random, seed: string): string {
  let text = seed;
  const times = 1 + Math.floor(random() * 4);
  for (let time = 0; time < times; time++) {
    const at = Math.floor(random() * (text.length + 1));
    const length = Math.floor(random() * 40);
    const how = random();
    if (how < 0.3) text = text.slice(0, at) + text.slice(at + length);
    else if (how < 0.5)
      text = text.slice(0, at) + text.slice(at, at + length).repeat(3) + text.slice(at);
    else if (how < 0.8)
      text = text.slice(0, at) + String(pick(random, STRANGE)).slice(0, 60) + text.slice(at + 1);
    else text = text.slice(0, at);
  }
  return text;
}
