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
