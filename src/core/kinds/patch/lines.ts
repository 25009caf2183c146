import { drillIn } from '../../catalog/drills.ts';
import type { Patch } from './fields.ts';
import { evenly, straight, type LineWish } from '../../layout/lines.ts';
import type { DrilledOnly, LayContext } from '../kind-layout.ts';
import type { PatchGeometry } from './geometry.ts';
import { hasOwnStack } from '../shared/insert-stack.ts';

/** The four sides of a rectangular rivet line; corners belong to the top and the bottom. */
function rectRingLines(
  name: string,
  ring: { xIn: number; yIn: number; w: number; h: number; nW: number; nH: number },
  doubler: { w: number; h: number },
  dash: LineWish['dash'],
  stack: number,
  filled: 'skin' | 'insert',
  outermost = false
): LineWish[] {
  const { xIn, yIn, w, h, nW, nH } = ring;
  const across = evenly(xIn, xIn + w, nW + 1);
  const down = evenly(yIn, yIn + h, nH + 1);
  const common = {
    givenIn: [],
    dash,
    stack,
    through: [filled, 'doubler'],
    endsMayMove: false,
    endsAtEdge: outermost
  };
  const side = (
    key: string,
    words: string,
    path: LineWish['path'],
    alongIn: number[]
  ): LineWish => ({
    ...common,
    key: `${name.replaceAll(' ', '-')}-${key}`,
    name: `${name} line, ${words}`,
    path,
    alongIn
  });
  return [
    side('top', 'top', straight(0, yIn, doubler.w), across),
    side('bottom', 'bottom', straight(0, yIn + h, doubler.w), across),
    side('left', 'left', straight(xIn, 0, doubler.h, [0, 1]), down),
    side('right', 'right', straight(xIn + w, 0, doubler.h, [0, 1]), down)
  ];
}

/** The rivet lines round the cut-out, from the inside out, then the insert's. */
export function patchLines(
  joint: Patch,
  { skin, outer, insert, doubler, borderIn }: PatchGeometry,
  { dash, edgeIn }: Pick<LayContext, 'dash' | 'edgeIn'>
): LineWish[] {
  const innerIn = borderIn - edgeIn;
  const lines = rectRingLines(
    'skin',
    { ...skin, xIn: innerIn, yIn: innerIn },
    doubler,
    dash,
    0,
    'skin',
    outer === null
  );
  if (outer)
    lines.push(
      ...rectRingLines(
        'outer skin',
        { ...outer, xIn: edgeIn, yIn: edgeIn },
        doubler,
        dash,
        0,
        'skin',
        true
      )
    );
  if (insert) {
    const atIn = borderIn + joint.insertClearanceIn + (joint.insertEdgeIn ?? edgeIn);
    const stack = hasOwnStack(joint) ? 1 : 0;
    lines.push(
      ...rectRingLines(
        'insert',
        { ...insert, xIn: atIn, yIn: atIn },
        doubler,
        dash,
        stack,
        'insert'
      )
    );
  }
  return lines;
}

/** The stop-drilled ends of a crack that stays, about the patch's middle. */
export function crackEnds(
  { crackIn, crackTurnDeg, crackDrill }: Patch,
  w: number,
  h: number
): DrilledOnly[] {
  if (crackIn === null) return [];
  const turn = (crackTurnDeg * Math.PI) / 180;
  return [-1, 1].map((end) => ({
    xIn: w / 2 + (end * crackIn * Math.cos(turn)) / 2,
    yIn: h / 2 + (end * crackIn * Math.sin(turn)) / 2,
    drill: crackDrill,
    diameterIn: drillIn(crackDrill),
    why: 'crack-end' as const
  }));
}
