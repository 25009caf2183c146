import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { whyNot } from '../../../tests/support/why-not.ts';
import {
  aroundLeft,
  isOpen,
  OldWorkMove,
  oldWorkStream,
  standingFindings,
  type OldWorkEvent,
  type OldWorkState
} from './old-work-stream.ts';
import { OLD_SIGNS, OldSign } from './signs.ts';

const idOf = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const at = (minute: number) => new Date(Date.UTC(2031, 4, 2, 8, minute)).toISOString();
const move = (n: number, minute: number, rest: object) =>
  OldWorkMove.parse({ id: idOf(n), at: at(minute), ...rest });

/** Follows moves to their end. */
class Bench {
  state: OldWorkState = new Map();
  events: OldWorkEvent[] = [];
  try(n: number, minute: number, rest: object) {
    const made = move(n, minute, rest);
    const may = oldWorkStream.follow(null, this.state, made);
    if (may.ok) {
      this.events.push({ ...made, by: 'Ilse', frozen: null } as OldWorkEvent);
      this.state = oldWorkStream.project(null, this.events);
    }
    return may;
  }
}
const CRACK = { kind: 'found', sign: 'crack', where: 'old row, hole 5' };
const about = { finding: idOf(1) };

describe('old work', () => {
  it('is open until what lies around was looked at and somebody said what becomes of it', () => {
    const bench = new Bench();
    bench.try(1, 0, { ...CRACK, hours: 4120 });
    const found = () => standingFindings(bench.state)[0];
    expect(found()).toMatchObject({ sign: 'crack', hours: 4120, by: 'Ilse' });
    const one = () => found() as NonNullable<ReturnType<typeof found>>;
    expect(aroundLeft(one())).toEqual(['crack-end', 'cracks']);
    bench.try(2, 1, { kind: 'looked-around', ...about, what: 'crack-end', seen: 'ends 3/8 out' });
    bench.try(3, 2, { kind: 'looked-around', ...about, what: 'cracks' });
    expect(isOpen(one())).toBe(true);
    bench.try(4, 3, { kind: 'disposed', ...about, disposition: 'refer' });
    expect(isOpen(one())).toBe(false);
  });

  it('is replaced or left by the trade’s own rule where there is one, else by the data', () => {
    const bench = new Bench();
    bench.try(1, 0, CRACK);
    const replace = { kind: 'disposed', ...about, disposition: 'replace' };
    expect(whyNot(bench.try(2, 1, replace))).toBe('disposition-by-data');
    expect(whyNot(bench.try(2, 1, { ...replace, disposition: 'leave' }))).toBe(
      'disposition-by-data'
    );
    expect(bench.try(3, 2, { ...replace, authority: 'letter 12' }).ok).toBe(true);
    const loose = new Bench();
    loose.try(1, 0, { ...CRACK, sign: 'loose' });
    expect(loose.try(2, 1, replace).ok).toBe(true);
    // no sign is left as it is by the mechanic alone
    for (const sign of OldSign.options) expect(OLD_SIGNS[sign].usual).not.toContain('leave');
  });

  it('is about a finding that stands; one voided stays on record', () => {
    const bench = new Bench();
    const looked = { kind: 'looked-around', ...about, what: 'cracks' };
    expect(whyNot(bench.try(2, 1, looked))).toBe('no-such-finding');
    bench.try(1, 5, CRACK);
    expect(whyNot(bench.try(2, 4, looked))).toBe('no-such-finding');
    bench.try(3, 6, { kind: 'voided', ...about, why: 'a scratch' });
    expect(whyNot(bench.try(4, 7, looked))).toBe('no-such-finding');
    expect(standingFindings(bench.state)).toEqual([]);
    expect(bench.state.get(idOf(1))?.voided).toEqual({ why: 'a scratch', by: 'Ilse' });
  });

  it('comes to the same whatever the order of arrival, and however often', () => {
    const bench = new Bench();
    bench.try(1, 0, CRACK);
    bench.try(2, 1, { kind: 'looked-around', ...about, what: 'cracks' });
    bench.try(3, 2, { kind: 'disposed', ...about, disposition: 'refer' });
    bench.try(4, 3, { kind: 'disposed', ...about, disposition: 'replace', authority: 'letter 12' });
    bench.try(5, 4, { kind: 'found', sign: 'gap', where: 'frame 9' });
    bench.try(6, 5, { kind: 'voided', finding: idOf(5), why: 'paint' });
    fc.assert(
      fc.property(
        fc.shuffledSubarray([...bench.events, ...bench.events], { minLength: 12 }),
        (events) => {
          expect([...oldWorkStream.project(null, events)].sort()).toEqual([...bench.state].sort());
        }
      )
    );
    expect(bench.state.get(idOf(1))?.dispositions.at(-1)?.disposition).toBe('replace');
  });
});
