import { describe, expect, it } from 'vitest';
import { definition, planned } from '../../../tests/support/joints';
import { metalSteps } from './metal-steps';
import { stops, written } from '../../../tests/support/words';

/** One row of 13 over 6 in: 12 spaces over 6 − 2 × 9/32 = 5.4375. */
const lap = (spanIn: string, line = 'row-1', change = {}) =>
  planned(
    definition('lap', ['0.040', '0.040'], {
      widthIn: '6',
      dash: 4,
      rows: 1,
      scale: '1/64',
      edgeIn: '9/32',
      perInch: '2.1',
      perInchReason: 'test',
      spans: [{ id: 'span-1', line, spanIn }],
      ...change
    })
  );
const spanOf = (spanIn: string, line?: string) => lap(spanIn, line).spans[0];

describe('a span between end holes, as measured', () => {
  it('is named with its difference and its own pitch', () => {
    expect(spanOf('5 15/32')).toMatchObject({
      name: 'row 1',
      found: {
        ok: true,
        result: {
          plannedIn: 5.4375,
          differenceIn: 0.03125,
          spaces: 12,
          // 5.46875 / 12
          pitchIn: 0.455729166666666685,
          breaks: null,
          first: 1,
          last: 13
        }
      }
    });
    const [warning] = written(lap('5 15/32')).filter(({ title }) => /end holes/.test(title));
    expect(warning?.title).toBe('Row 1: its end holes are 0.0313 in further apart than planned');
    expect(warning?.text).toContain('12 spaces that is a pitch of 0.4557 in');
  });

  it('is as planned within what a rule reads', () => {
    expect(written(lap('5.443')).some(({ title }) => /end holes/.test(title))).toBe(false);
    expect(written(lap('5.43')).some(({ title }) => /end holes/.test(title))).toBe(false);
    expect(written(lap('5.4')).some(({ title }) => /nearer together/.test(title))).toBe(true);
  });

  it('stops the joint where its spaces break the pitch', () => {
    // 4.49 / 12 = 0.37417, under 3 D = 0.375
    expect(spanOf('4.49')).toMatchObject({
      found: { result: { breaks: { rule: 'pitch-min', limitIn: 0.375 } } }
    });
    expect(stops(lap('4.49'))).toEqual([
      'Row 1: its end holes are 0.9475 in nearer together than planned'
    ]);
    expect(stops(lap('4.5'))).toEqual([]);
    // 18.1 / 12 is over 12 D = 1.5
    expect(spanOf('18.1')).toMatchObject({ found: { result: { breaks: { rule: 'pitch-max' } } } });
  });

  it('counts the spaces of a hole that was taken out, in the steps on the metal too', () => {
    const without = lap('5 15/32', 'row-1', {
      edits: [
        { id: 'edit-1', line: 'row-1', index: 4, of: 13, state: 'removed', nudgeIn: '', reason: '' }
      ]
    });
    expect(without.holes).toHaveLength(12);
    expect(without.spans[0]).toMatchObject({ found: { result: { spaces: 12 } } });
    const steps = without.layout.ok ? metalSteps(without.layout.result) : [];
    expect(steps.find(({ code }) => code === 'divide')).toMatchObject({
      spaces: 12,
      pitchIn: 0.453125
    });
  });

  it('says what cannot be read, and is not held against a line that is gone or not even', () => {
    expect(spanOf('5 and a bit')).toMatchObject({ found: { ok: false } });
    expect(spanOf('0')).toMatchObject({ found: { ok: false } });
    expect(spanOf('5', 'row-9')).toEqual({ line: 'row-9', name: 'row-9', found: null });
    const pinned = lap('5', 'row-1', {
      fixed: [
        {
          id: 'fixed-1',
          kind: 'pinned',
          line: 'row-1',
          name: '',
          atIn: '3 1/16',
          offIn: '',
          state: '',
          holeIn: ''
        }
      ]
    });
    expect(pinned.spans[0]?.found).toBeNull();
    expect(lap('').spans).toEqual([]);
  });
});
