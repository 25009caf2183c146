import type { MetalStep } from '../../core/plan/metal-steps.ts';

/** Holes in the order they lie: from one to another where they are numbered so, else each by its number. */
function inOrder(holes: readonly number[]): string {
  const [first] = holes;
  const runs = holes.every((hole, at) => hole === (first ?? 0) + at);
  return runs && holes.length > 2 ? `${first} to ${holes.at(-1)}` : holes.join(', ');
}

/** A step as one reads it: words with their lengths between, so that a page can set those large. */
export interface WrittenMetalStep {
  title: string;
  say: (string | { lengthIn: number })[];
}

const step = (title: string, ...say: WrittenMetalStep['say']): WrittenMetalStep => ({ title, say });
const at = (lengthIn: number) => ({ lengthIn });

/** What to do on the metal, in words; the only place that has them. */
export function metalStepInWords(said: MetalStep): WrittenMetalStep {
  switch (said.code) {
    case 'datum':
      return step(
        'Choose one datum and use only it',
        'Every mark below is measured from one datum. Film off, edges deburred, dye or a soft pen on the line.'
      );
    case 'scribe-circle':
      return step(
        `Scribe ${said.line}`,
        'Center lines first, both ways; then a circle of ',
        at(said.radiusIn),
        ' radius about the center. Dye, not a scriber, on metal that stays.'
      );
    case 'draw':
      return step(
        `Draw ${said.line}`,
        'A line ',
        at(said.atIn),
        ` from the ${said.from} edge, over its whole length.`
      );
    case 'draw-slanted':
      return step(
        `Draw ${said.line}`,
        'From ',
        at(said.fromIn),
        ' below the upper edge at the datum end to ',
        at(said.toIn),
        ' at the far end.'
      );
    case 'mark-ring':
      return step(
        `Mark ${said.line}`,
        `${said.holes} holes, each by two distances from the center lines, never one from the last. Hole ${said.first}: `,
        at(said.rightIn),
        ' right, ',
        at(said.downIn),
        ' down.'
      );
    case 'end-holes':
      return step(
        `End holes of ${said.line}`,
        `Hole ${said.first.number} at `,
        at(said.first.atIn),
        ` and hole ${said.last.number} at `,
        at(said.last.atIn),
        ' from the datum. Measure between them: ',
        at(said.last.atIn - said.first.atIn),
        '.'
      );
    case 'mark-each':
      return step(
        `Mark ${said.line}`,
        `${said.holes} holes around obstacles: mark each from the datum.`
      );
    case 'divide':
      return step(
        `Divide and mark ${said.line}`,
        `${said.spaces} equal spaces of `,
        at(said.pitchIn),
        `: mark holes ${inOrder(said.holes)} from the datum, never hole to hole.`
      );
    case 'outline-rect':
      return step(
        'Outline the cutout',
        'Its corner is ',
        at(said.xIn),
        ' from the left and ',
        at(said.yIn),
        ' from the upper edge of the doubler; ',
        at(said.wIn),
        ' wide, ',
        at(said.hIn),
        ' high.'
      );
    case 'outline-circle':
      return step(
        'Outline the cutout',
        'A circle of ',
        at(said.radiusIn),
        ' radius about the center.'
      );
    case 'reliefs':
      return step(
        'Drill the corner relief holes first',
        `${said.holes} holes of `,
        at(said.diameterIn),
        ' diameter, each centered ',
        at(said.diameterIn / 2),
        ' in from both lines. Drill small, then open up; saw or nibble from hole to hole.'
      );
    case 'drilled-only':
      return step(
        'Stop-drill the crack’s end',
        `${said.drill}, at `,
        at(said.xIn),
        ' right and ',
        at(said.yIn),
        ' down. No rivet in this hole.'
      );
    case 'growth':
      return step(
        `Enlarge the holes in the ${said.part}`,
        `${said.drill}, so that the panel can grow: `,
        at(said.diameterIn),
        ' there, the rivet’s own hole in the frame. Ease the drill through plastic; never force it.'
      );
    case 'stay-open':
      return step(
        'Circle the holes left open',
        `${said.holes.map(({ number, reason }) => `${number} (${reason})`).join(', ')}: drilled, never riveted.`
      );
    case 'check':
      return step(
        'Check before drilling',
        `Count ${said.holes} holes. Measure the last mark again from the datum; a slipped decimal shows here.`
      );
  }
}
