import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { merge } from './merge';

const sheet = (id: string, thicknessIn: string, more: object = {}) => ({
  id,
  thicknessIn,
  ...more
});
const WAS = {
  title: 'Lap',
  definition: { widthIn: '10', edgeIn: '', sheets: [sheet('a', '0.040'), sheet('b', '0.050')] }
};
const changed = (change: object, title = 'Lap') => ({
  title,
  definition: { ...WAS.definition, ...change }
});

describe('two hands at one joint', () => {
  it('keep both what each of them changed', () => {
    const mine = changed({ widthIn: '11' }, 'Lap of bay 9');
    const theirs = changed({ sheets: [sheet('a', '0.040'), sheet('b', '0.063')] });
    expect(merge(WAS, mine, theirs)).toEqual({
      crossings: [],
      value: {
        title: 'Lap of bay 9',
        definition: {
          widthIn: '11',
          edgeIn: '',
          sheets: [sheet('a', '0.040'), sheet('b', '0.063')]
        }
      }
    });
  });

  it('are asked where both changed one thing, and only there', () => {
    const mine = changed({ widthIn: '11', edgeIn: '0.3' });
    const theirs = changed({ widthIn: '12' });
    const { crossings, value } = merge(WAS, mine, theirs);
    expect(crossings).toEqual([
      { path: 'definition.widthIn', was: '10', mine: '11', theirs: '12' }
    ]);
    expect(value).toEqual(changed({ widthIn: '12', edgeIn: '0.3' }));
    expect(merge(WAS, mine, theirs, { 'definition.widthIn': 'mine' }).value).toEqual(
      changed({ widthIn: '11', edgeIn: '0.3' })
    );
    // the same done twice is no question
    expect(merge(WAS, mine, mine).crossings).toEqual([]);
  });

  it('add and take out items of a list side by side', () => {
    const [a, b] = WAS.definition.sheets;
    const mine = changed({ sheets: [a, sheet('m', '0.016'), b] });
    const theirs = changed({ sheets: [b, sheet('t', '0.020')] });
    const { crossings, value } = merge(WAS, mine, theirs);
    expect(crossings).toEqual([]);
    expect((value as typeof WAS).definition.sheets.map(({ id }) => id)).toEqual(['m', 'b', 't']);
  });

  it('are asked where one took out what the other changed', () => {
    const mine = changed({ sheets: [sheet('a', '0.032'), sheet('b', '0.050')] });
    const theirs = changed({ sheets: [sheet('b', '0.050')] });
    const asked = merge(WAS, mine, theirs);
    expect(asked.crossings).toEqual([
      {
        path: 'definition.sheets.a',
        was: sheet('a', '0.040'),
        mine: sheet('a', '0.032'),
        theirs: undefined
      }
    ]);
    const kept = merge(WAS, mine, theirs, { 'definition.sheets.a': 'mine' }).value as typeof WAS;
    expect(kept.definition.sheets).toEqual([sheet('a', '0.032'), sheet('b', '0.050')]);
  });

  it('are asked once about two orders, and a single new order stands', () => {
    const list = (...ids: string[]) => ids.map((id) => ({ id }));
    const turned = merge(list('a', 'b', 'c'), list('c', 'a', 'b'), list('a', 'b', 'c', 'd'));
    expect(turned).toEqual({ crossings: [], value: list('c', 'd', 'a', 'b') });
    const crossed = merge(list('a', 'b', 'c'), list('c', 'a', 'b'), list('b', 'a', 'c'));
    expect(crossed.crossings.map(({ path }) => path)).toEqual(['order']);
    expect(crossed.value).toEqual(list('b', 'a', 'c'));
    expect(
      merge(list('a', 'b', 'c'), list('c', 'a', 'b'), list('b', 'a', 'c'), { order: 'mine' }).value
    ).toEqual(list('c', 'a', 'b'));
  });

  it('add and take out fields side by side, and are asked about a field that one took out', () => {
    expect(merge({ a: 1 }, { a: 1, b: 2 }, { a: 1, c: 3 })).toEqual({
      value: { a: 1, b: 2, c: 3 },
      crossings: []
    });
    expect(merge({ a: 1, b: 2 }, { a: 1 }, { a: 1, b: 2 })).toEqual({
      value: { a: 1 },
      crossings: []
    });
    expect(merge({ a: 1, b: 2 }, { a: 1 }, { a: 1, b: 5 })).toEqual({
      value: { a: 1, b: 5 },
      crossings: [{ path: 'b', was: 2, mine: undefined, theirs: 5 }]
    });
    // what both added otherwise was not there before
    expect(merge({}, { b: 2 }, { b: 5 }).crossings).toEqual([
      { path: 'b', was: undefined, mine: 2, theirs: 5 }
    ]);
    expect(merge({}, { b: 2 }, { b: 5 }, { b: 'mine' }).value).toEqual({ b: 2 });
    // a field that every object has is none of a document's
    expect(merge({}, {}, { toString: 'x' }).value).toEqual({ toString: 'x' });
  });

  it('say the same whatever order fields stand in, and differ where a list does', () => {
    expect(merge({ p: { x: 1, y: 2 } }, { p: { y: 2, x: 1 } }, { p: { x: 1, y: 3 } })).toEqual({
      value: { p: { x: 1, y: 3 } },
      crossings: []
    });
    expect(merge({ l: [1, 2] }, { l: [2, 1] }, { l: [1, 2] }).value).toEqual({ l: [2, 1] });
    // lists without names are one thing
    expect(merge({ l: [1] }, { l: [1, 2] }, { l: [1, 3] }).crossings).toEqual([
      { path: 'l', was: [1], mine: [1, 2], theirs: [1, 3] }
    ]);
    // two of one name are no names
    const twice = (v: number) => [
      { id: 'a', v },
      { id: 'a', v: 0 }
    ];
    expect(merge(twice(1), twice(2), twice(3)).crossings).toHaveLength(1);
    expect(merge([{ id: 1 }], [{ id: 1, v: 1 }], [{ id: 1, v: 2 }]).crossings).toHaveLength(1);
  });

  it('take nothing for a node that is none', () => {
    expect(merge({ a: null }, { a: { x: 1 } }, { a: { x: 2 } }).crossings).toEqual([
      { path: 'a', was: null, mine: { x: 1 }, theirs: { x: 2 } }
    ]);
    expect(merge({ a: { x: 1 } }, { a: null }, { a: { x: 2 } }).crossings).toHaveLength(1);
    expect(merge({ a: { x: 1 } }, { a: [] }, { a: { x: 2 } }).crossings).toHaveLength(1);
    expect(merge([{ id: 'a' }], [{ id: 'a', v: 1 }], 'none').crossings).toEqual([
      { path: '', was: [{ id: 'a' }], mine: [{ id: 'a', v: 1 }], theirs: 'none' }
    ]);
  });

  it('put what was added where it was added, at the head and in the middle', () => {
    const list = (...ids: string[]) => ids.map((id) => ({ id }));
    const ids = (value: unknown) => (value as { id: string }[]).map(({ id }) => id);
    expect(ids(merge(list('a', 'b'), list('n', 'a', 'b'), list('a', 'b')).value)).toEqual([
      'n',
      'a',
      'b'
    ]);
    expect(ids(merge(list('a', 'b'), list('a', 'm', 'b'), list('a', 't', 'b')).value)).toEqual([
      'a',
      'm',
      't',
      'b'
    ]);
    // an order of mine stays, with what the other added behind its own neighbor
    expect(ids(merge(list('a', 'b'), list('b', 'a'), list('a', 't', 'b')).value)).toEqual([
      'b',
      'a',
      't'
    ]);
    // taken out by one and moved by the other: no order is asked about
    const moved = merge(list('a', 'b', 'c'), list('a', 'c'), list('c', 'b', 'a'));
    expect(moved.crossings).toEqual([]);
    expect(ids(moved.value)).toEqual(['c', 'a']);
  });

  it('are asked about each field of one item apart, and about two orders besides', () => {
    const was = [sheet('a', '1', { name: 'x' }), sheet('b', '2')];
    const mine = [sheet('b', '2'), sheet('a', '3', { name: 'y' })];
    const theirs = [sheet('a', '4', { name: 'x' }), sheet('b', '2')];
    const { crossings, value } = merge({ s: was }, { s: mine }, { s: theirs });
    expect(crossings).toEqual([{ path: 's.a.thicknessIn', was: '1', mine: '3', theirs: '4' }]);
    expect(value).toEqual({ s: [sheet('b', '2'), sheet('a', '4', { name: 'y' })] });
  });

  it('lose nothing, whatever each changed alone, and it does not matter who is asked', () => {
    const fields = fc.dictionary(fc.constantFrom('p', 'q', 'r'), fc.constantFrom('1', '2', '3'));
    const document = fc.record({
      flat: fields,
      list: fc.uniqueArray(fc.record({ id: fc.constantFrom('a', 'b', 'c'), v: fields }), {
        selector: ({ id }) => id,
        maxLength: 3
      })
    });
    fc.assert(
      fc.property(document, document, document, (was, mine, theirs) => {
        // one hand alone
        expect(merge(was, mine, was)).toEqual({ value: mine, crossings: [] });
        expect(merge(was, was, theirs)).toEqual({ value: theirs, crossings: [] });
        const one = merge(was, mine, theirs);
        const other = merge(was, theirs, mine);
        expect(new Set(one.crossings.map(({ path }) => path))).toEqual(
          new Set(other.crossings.map(({ path }) => path))
        );
        // every field of one side alone is there unless the other changed it
        for (const key of ['p', 'q', 'r'])
          if (was.flat[key] === theirs.flat[key])
            expect((one.value as typeof mine).flat[key]).toEqual(mine.flat[key]);
      }),
      { seed: 7, numRuns: 1500 }
    );
  });
});
