import { describe, expect, it } from 'vitest';
import { readBlindPart } from './blind-rivets.ts';

describe('a blind rivet’s part number', () => {
  it('says its diameter, its drill and, where the standard does, its grip', () => {
    // blind-rivets: dash 4, grip over 1/8 up to 3/16
    expect(readBlindPart('NAS1398D4-3')).toEqual({
      dash: 4,
      head: 'protruding',
      drill: '#30',
      grip: { overIn: 0.125, mostIn: 0.1875 }
    });
    expect(readBlindPart(' nas1399-5-2 ')).toMatchObject({
      dash: 5,
      head: 'countersunk',
      drill: '#20',
      grip: { overIn: 0.0625, mostIn: 0.125 }
    });
    expect(readBlindPart('NAS1398B6-1')).toMatchObject({ drill: '#10', grip: { overIn: 0 } });
  });

  it('says no grip where the standard’s number does not, and no drill of a size whose drill is not known', () => {
    expect(readBlindPart('MS20600AD4W3')).toMatchObject({ dash: 4, drill: '#30', grip: null });
    expect(readBlindPart('NAS1398-4')).toMatchObject({ grip: null });
    expect(readBlindPart('NAS1398-8-4')).toMatchObject({ dash: 8, drill: null });
  });

  it('is not read out of anything else', () => {
    for (const text of ['', 'pulled rivet 1/8', 'MS20470AD4-4', 'NAS1398'])
      expect(readBlindPart(text)).toBeNull();
  });
});
