import type { Coupon } from '../../../core/grading/coupon.ts';
import type { GradedCoupon } from '../../../core/grading/grade-coupon.ts';
import { PAPERS, type Paper } from '../../../core/exchange/tiles.ts';
import type { KeptCoupon } from '../../api/grading.ts';
import { CRITERION_NAMES, feedbackInWords, toTenths } from '../../words/grading.ts';
import type { WriteLength } from '../../words/writing.ts';
import { pdfPages, pt } from './pdf-pages.ts';
import { heading, line, table, type Sheet } from './pdf-sheet.ts';

const marks = (value: number): string => value.toFixed(1);

/** A graded coupon as a sheet to hand back: marks, readings side by side, what to do about it. */
export const pdfCoupon = (
  { coupon: entered, savedAt, savedBy }: KeptCoupon,
  coupon: Coupon,
  graded: GradedCoupon,
  paper: Paper,
  length: WriteLength
): Promise<Buffer> =>
  pdfPages(`Coupon ${entered.name}, ${entered.student}`, paper, (page) => {
    const sheet: Sheet = {
      page,
      widthPt: pt(PAPERS[paper].wIn - 1.2),
      footPt: pt(PAPERS[paper].hIn - 0.75)
    };
    const fine = (valueIn: number) => length(valueIn, 'fine');
    page.y = pt(0.6);
    line(sheet, 'bold', 15, `${entered.name}: ${entered.student}`);
    line(
      sheet,
      'bold',
      12,
      `${marks(graded.marks)} of ${graded.points} marks; dash ${entered.dash}, ${entered.head} heads`
    );
    line(sheet, 'plain', 9, `Graded by ${savedBy}, ${savedAt.slice(0, 10)}`);

    heading(sheet, 'Marks');
    table(
      sheet,
      ['Criterion', 'Expected', 'Limit ±', 'Within', 'Near', 'Off', 'Marks'],
      [0.22, 0.16, 0.14, 0.14, 0.1, 0.1, 0.14],
      [
        ...graded.criteria.map((one, at) => [
          CRITERION_NAMES[one.key],
          fine(coupon.criteria[at]?.expectedIn ?? 0),
          fine(coupon.criteria[at]?.limitIn ?? 0),
          `${one.within.length} of ${one.read}`,
          String(one.near.length),
          String(one.off.length),
          `${marks(one.marks)} of ${one.points}`
        ]),
        [
          'measuring',
          '',
          fine(coupon.agreeWithinIn),
          `${graded.measuring.within} of ${graded.measuring.pairs}`,
          '',
          '',
          `${marks(graded.measuring.marks)} of ${graded.measuring.points}`
        ]
      ]
    );

    heading(sheet, 'What to take from it');
    for (const said of graded.feedback)
      line(sheet, 'plain', 9, `· ${feedbackInWords(said, length)}`);

    heading(sheet, 'Measuring: student compared with instructor');
    const measured = graded.criteria.flatMap(({ key, measuring }) =>
      measuring ? [{ key, measuring }] : []
    );
    if (measured.length === 0) line(sheet, 'plain', 9, 'No place was read by both.');
    else
      table(
        sheet,
        ['Criterion', 'Places', 'Bias', 'Scatter', 'Repeatability'],
        [0.28, 0.14, 0.2, 0.18, 0.2],
        measured.map(({ key, measuring: { places, biasIn, scatterIn, repeatIn, isBiased } }) => [
          CRITERION_NAMES[key],
          String(places),
          `${biasIn > 0 ? '+' : ''}${fine(toTenths(biasIn))}${isBiased ? ' *' : ''}`,
          scatterIn === null ? '' : fine(toTenths(scatterIn)),
          repeatIn === null ? 'no place read twice' : fine(toTenths(repeatIn))
        ])
      );
    line(sheet, 'plain', 8, '* significant for that scatter');

    heading(sheet, 'Every reading');
    for (const { key, places } of coupon.criteria)
      table(
        sheet,
        [CRITERION_NAMES[key], 'The student’s', 'The instructor’s'],
        [0.3, 0.4, 0.3],
        places
          .filter(({ student, instructor }) => student.length > 0 || instructor !== null)
          .map(({ place, student, instructor }) => [
            `place ${place}`,
            student.map(fine).join('; '),
            instructor === null ? '' : fine(instructor)
          ])
      );
  });
