import { describe, expect, it } from 'vitest';
import { definition, layoutOf } from '../../../tests/support/joints';
import { num } from '../answer';
import { metalStepInWords, type WrittenMetalStep } from '../../../tests/support/words';
import { metalSteps } from './metal-steps';

/** A step as plain text, lengths in decimal inches. */
const stepText = ({ say }: WrittenMetalStep): string =>
  say.map((part) => (typeof part === 'string' ? part : `${num(part.lengthIn)} in`)).join('');
const stepsOf = (joint: Parameters<typeof layoutOf>[0]) =>
  metalSteps(layoutOf(joint))
    .map(metalStepInWords)
    .map((step) => `${step.title}: ${stepText(step)}`);

describe('what to do on the metal', () => {
  it('measures an upright line between its own corners, which were laid on others', () => {
    // doubler 2 1/8 + 4 × 5/16 = 3.375 high: corners at 5/16 and 3.0625 down
    const steps = stepsOf(
      definition('patch', ['0.032', '0.040'], {
        carries: 'attach',
        dash: 4,
        edgeIn: '5/16',
        cornerRadiusIn: '1/4',
        cutoutWIn: '3 1/8',
        cutoutHIn: '2 1/8',
        scale: '1/64'
      })
    );
    expect(steps.find((step) => /End holes of skin line, left/.test(step))).toMatch(
      /at 0\.3125 in and hole \d+ at 3\.0625 in from the datum\. Measure between them: 2\.75 in/
    );
  });

  it('goes from edge lines over end holes to dividing', () => {
    const steps = stepsOf(
      definition('lap', ['0.040', '0.040'], {
        widthIn: '6',
        dash: 4,
        rows: 1,
        scale: '1/64',
        edgeIn: '9/32',
        perInch: '2.1',
        perInchReason: 'test'
      })
    );
    expect(steps).toEqual([
      expect.stringContaining('Choose one datum') as string,
      'Draw row 1: A line 0.28125 in from the upper edge, over its whole length.',
      'End holes of row 1: Hole 1 at 0.28125 in and hole 13 at 5.71875 in from the datum. Measure between them: 5.4375 in.',
      'Divide and mark row 1: 12 equal spaces of 0.453125 in: mark holes 1 to 13 from the datum, never hole to hole.',
      'Check before drilling: Count 13 holes. Measure the last mark again from the datum; a slipped decimal shows here.'
    ]);
  });

  it('relieves the corners of a cutout before it is cut', () => {
    const steps = stepsOf(
      definition('patch', ['0.032', '0.040'], {
        carries: 'attach',
        dash: 4,
        edgeIn: '5/16',
        cornerRadiusIn: '1/4',
        cutoutWIn: '4',
        cutoutHIn: '3'
      })
    );
    expect(steps.join('\n')).toContain(
      '4 holes of 0.5 in diameter, each centered 0.25 in in from both lines'
    );
    expect(steps.join('\n')).toContain('Its corner is 0.625 in from the left');
  });

  it('marks a ring from its centre lines', () => {
    const steps = stepsOf(
      definition('round', ['0.032', '0.040'], {
        cutoutIn: '3',
        dash: 4,
        insert: false,
        carries: 'attach'
      })
    );
    expect(steps.join('\n')).toContain('a circle of 1.78125 in radius about the center');
    expect(steps.join('\n')).toContain('8 holes, each by two distances from the center lines');
  });

  it('rings what stays open and opens the panel’s holes', () => {
    const steps = stepsOf(
      definition('panel', ['0.040', '0.125', '0.050'], {
        widthIn: '20',
        heightIn: '12',
        frameIn: '1',
        dash: 4,
        edits: [
          {
            id: 'edit-1',
            line: 'top',
            index: 3,
            of: 14,
            state: 'held-open',
            nudgeIn: '',
            reason: 'latch',
            drill: '',
            asRivets: false,
            blind: '',
            blindLeastIn: '',
            blindMostIn: ''
          }
        ]
      })
    ).join('\n');
    expect(steps).toContain('#9, so that the panel can grow: 0.196 in there');
    // nothing is drilled before the marks are checked
    expect(steps.indexOf('Check before drilling')).toBeLessThan(steps.indexOf('#9, so that'));
    expect(steps).toContain('4 (latch): drilled, never riveted.');
  });
});
