import { describe, expect, it } from 'vitest';
import { readWish } from './records-wish';

const read = (query: string) => readWish(new URLSearchParams(query));

describe('what an address asks of the records', () => {
  it('reads what is asked and leaves out what is empty', () => {
    expect(read('lot=+K-22+&finding=clinched&joint=&from=2031-04-07&sort=height&way=up')).toEqual({
      wish: { lot: 'K-22', finding: 'clinched', from: '2031-04-07', sort: 'height', way: 'up' },
      problems: []
    });
  });

  it.each([
    ['finding=shiny', 'a finding is chosen from the list'],
    ['person=Ilse', 'a person is chosen from the list'],
    ['from=7.4.2031', 'a day is written 2031-05-02'],
    ['to=2031-02-30', 'a day is written 2031-05-02'],
    ['from=0000-01-01', 'a year is between 1900 and 2200'],
    ['sort=beauty', 'heads are sorted by time, part, diameter or height'],
    [`joint=${'x'.repeat(81)}`, 'a joint’s name is at most 80 characters'],
    ['after=%27%3B--', 'this page mark is none of ours']
  ])('says of %s what is wrong and asks the rest', (query, problem) => {
    expect(read(`${query}&lot=K-22`)).toEqual({ wish: { lot: 'K-22' }, problems: [problem] });
  });

  it('refuses what no database holds', () => {
    expect(read('joint=%00').problems).toHaveLength(1);
    expect(read('lot=a%EF%BF%BF&verdict=none').wish).toMatchObject({ verdict: 'none' });
  });
});
