import type { JointLayout } from './plan-shape.ts';
import type { LaidLine, PlannedHole } from './holes.ts';

/** One thing to do on the metal, in order; figures are in inches. */
export interface MetalStep {
  title: string;
  /** sentences with lengths left as numbers, so that the page writes them in the person's unit */
  say: (string | { lengthIn: number })[];
}

const at = (lengthIn: number) => ({ lengthIn });

function edgeSteps(layout: JointLayout): MetalStep[] {
  return layout.lines.map((line) => {
    const { path } = line;
    if (path.path === 'circle')
      return {
        title: `Scribe ${line.name}`,
        say: [
          'Centre lines first, both ways; then a circle of ',
          at(path.radiusIn),
          ' radius about the centre. Dye, not a scriber, on metal that stays.'
        ]
      };
    const edgeIn = Math.abs(path.dirX) > Math.abs(path.dirY) ? path.yIn : path.xIn;
    const fromWhere =
      Math.abs(path.dirX) > Math.abs(path.dirY) ? 'from the upper edge' : 'from the left edge';
    const slanted = path.dirX !== 0 && path.dirY !== 0;
    return {
      title: `Draw ${line.name}`,
      say: slanted
        ? [
            'From ',
            at(path.yIn),
            ' below the upper edge at the datum end to ',
            at(path.yIn + path.dirY * path.lengthIn),
            ' at the far end.'
          ]
        : ['A line ', at(edgeIn), ` ${fromWhere}, over its whole length.`]
    };
  });
}

const byNumber = (layout: JointLayout) => new Map(layout.holes.map((hole) => [hole.number, hole]));

function lineSteps(line: LaidLine, holes: Map<number, PlannedHole>): MetalStep[] {
  const own = line.holes.map((number) => holes.get(number)).filter((hole) => hole !== undefined);
  const [first, last] = [own[0], own.at(-1)];
  if (!first || !last) return [];
  if (line.path.path === 'circle')
    return [
      {
        title: `Mark ${line.name}`,
        say: [
          `${own.length} holes, each by two distances from the centre lines, never one from the last. Hole ${first.number}: `,
          at(first.markIn),
          ' right, ',
          at(first.crossMarkIn ?? 0),
          ' down.'
        ]
      }
    ];
  const spaces = own.length - 1;
  const between = (last.markIn ?? 0) - (first.markIn ?? 0);
  return [
    {
      title: `End holes of ${line.name}`,
      say: [
        `Hole ${first.number} at `,
        at(first.markIn),
        ` and hole ${last.number} at `,
        at(last.markIn),
        ' from the datum. Measure between them: ',
        at(between),
        '.'
      ]
    },
    line.pitchIn === null
      ? {
          title: `Mark ${line.name}`,
          say: [`${own.length} holes past what is in the way: every one by its running mark.`]
        }
      : {
          title: `Divide and mark ${line.name}`,
          say: [
            `${spaces} equal spaces of `,
            at(line.pitchIn),
            `: mark holes ${first.number} to ${last.number} by their running marks from the datum, never each from the last.`
          ]
        }
  ];
}

/**
 * What to do on the metal, in the order that keeps it true: edge lines, corner and end holes, measure between
 * them, divide, mark; cut-outs with the holes that relieve their corners.
 *
 * @returns steps with every number filled in, lengths in inches
 * @source handbook 4.2, order on metal and corner relief
 */
export function metalSteps(layout: JointLayout): MetalStep[] {
  const holes = byNumber(layout);
  const steps: MetalStep[] = [
    {
      title: 'Choose the datum and keep to it',
      say: [
        'Every mark below is measured from one datum. Film off, edges deburred, dye or a soft pen on the line.'
      ]
    },
    ...edgeSteps(layout)
  ];
  const { cutOut, reliefs, drilledOnly } = layout;
  if (cutOut?.shape === 'rect')
    steps.push({
      title: 'Outline the cut-out',
      say: [
        'Its corner is ',
        at(cutOut.xIn),
        ' from the left and ',
        at(cutOut.yIn),
        ' from the upper edge of the doubler; ',
        at(cutOut.wIn),
        ' wide, ',
        at(cutOut.hIn),
        ' high.'
      ]
    });
  if (cutOut?.shape === 'circle')
    steps.push({
      title: 'Outline the cut-out',
      say: ['A circle of ', at(cutOut.radiusIn), ' radius about the centre.']
    });
  const [relief] = reliefs;
  if (relief)
    steps.push({
      title: 'Relieve the corners first',
      say: [
        `${reliefs.length} holes of `,
        at(relief.diameterIn),
        ' diameter, each centred ',
        at(relief.diameterIn / 2),
        ' in from both lines. Drill small, then open up; saw or nibble from hole to hole.'
      ]
    });
  for (const drilled of drilledOnly)
    steps.push({
      title: drilled.why[0]?.toUpperCase() + drilled.why.slice(1),
      say: [
        `${drilled.drill}, at `,
        at(drilled.xIn),
        ' right and ',
        at(drilled.yIn),
        ' down. It gets no rivet.'
      ]
    });
  for (const line of layout.lines) steps.push(...lineSteps(line, holes));
  if (layout.growth)
    steps.push({
      title: `Open the holes in the ${layout.growth.part}`,
      say: [
        `${layout.growth.drill}, so that the panel can grow: `,
        at(layout.growth.diameterIn),
        ' there, the rivet’s own hole in the frame. Ease the drill through plastic; never force it.'
      ]
    });
  const open = layout.holes.filter((hole) => hole.state === 'held-open');
  if (open.length > 0)
    steps.push({
      title: 'Ring the holes that stay open',
      say: [
        open.map((hole) => `${hole.number} (${hole.reason})`).join(', ') +
          ': drilled, never riveted.'
      ]
    });
  steps.push({
    title: 'Check before drilling',
    say: [
      `Count ${layout.drilled} holes. Measure the last mark again from the datum; a slipped decimal shows here.`
    ]
  });
  return steps;
}
