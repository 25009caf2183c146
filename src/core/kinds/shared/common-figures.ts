import { workLine, type WorkLine } from '../../answer.ts';
import { by, len, type Notation } from '../../notation.ts';
import type { LayContext, LayoutFigure } from '../kind-layout.ts';

/** Edge distance with its place between the limits. */
export function edgeFigure({
  edgeIn,
  edgeWork,
  diameterIn,
  head,
  limits
}: LayContext): LayoutFigure {
  return {
    key: 'edge',
    label: 'Edge distance',
    valueIn: edgeIn,
    note: `least ${limits.edgeMinD[head]} D for a ${head} head, most ${limits.edgeMaxD} D`,
    limits: {
      low: limits.edgeMinD[head],
      high: limits.edgeMaxD,
      value: edgeIn / diameterIn,
      unit: 'D'
    },
    work: [edgeWork]
  };
}

/** A pitch with its place between the limits. */
export function pitchFigure(
  { limits, nearPitchIn }: LayContext,
  pitchIn: number,
  diameterIn: number,
  work: WorkLine[],
  { key = 'pitch', label = 'Pitch' } = {}
): LayoutFigure {
  return {
    key,
    label,
    valueIn: pitchIn,
    note: `rule: ${limits.pitchMinD} D to ${limits.pitchMaxD} D; practice: ${nearPitchIn === null ? 'fewest rivets' : 'near a house pitch'}`,
    limits: {
      low: limits.pitchMinD,
      high: limits.pitchMaxD,
      value: pitchIn / diameterIn,
      unit: 'D'
    },
    work: [
      ...work,
      workLine('pitch in D', by`${len(pitchIn)} / ${len(diameterIn)}`, pitchIn / diameterIn, 'D')
    ]
  };
}

/** The distance between neighbouring rows with its place between the limits. */
export function transverseFigure(
  { limits, diameterIn }: LayContext,
  transverseIn: number,
  work: WorkLine[]
): LayoutFigure {
  return {
    key: 'transverse',
    label: 'Between rows',
    valueIn: transverseIn,
    note: `rule: ${limits.transverseMinD} D to ${limits.transverseMaxD} D`,
    limits: {
      low: limits.transverseMinD,
      high: limits.transverseMaxD,
      value: transverseIn / diameterIn,
      unit: 'D'
    },
    work
  };
}

/** The arithmetic of a distance between rows. */
export const transverseWork = (
  { limits, diameterIn }: LayContext,
  pitchIn: number,
  transverseIn: number
): WorkLine =>
  workLine(
    'between rows',
    by`larger of ${limits.transverseMinD} D and ${limits.transverseOfPitch} × pitch, up to a 1/32, not over ${limits.transverseMaxD} D = larger of ${len(limits.transverseMinD * diameterIn)} and ${len(limits.transverseOfPitch * pitchIn)}`,
    transverseIn,
    'in'
  );

/** The insert's own edge distance, where it was given. */
export const insertEdgeFigure = ({
  insertEdgeIn
}: {
  insertEdgeIn: number | null;
}): LayoutFigure[] =>
  insertEdgeIn === null
    ? []
    : [
        figure('insert-edge', 'Edge distance in the insert', insertEdgeIn, [
          workLine('edge distance in the insert', 'as given', insertEdgeIn, 'in')
        ])
      ];

export const figure = (
  key: string,
  label: string,
  valueIn: number,
  work: WorkLine[],
  note?: Notation | string
): LayoutFigure => ({ key, label, valueIn, work, ...(note === undefined ? {} : { note }) });

export const textFigure = (
  key: string,
  label: string,
  text: string | Notation,
  work: WorkLine[],
  note?: Notation | string
): LayoutFigure => ({ key, label, text, work, ...(note === undefined ? {} : { note }) });
