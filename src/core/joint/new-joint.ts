import type { EnteredOf, JointKind } from './kinds.ts';
import { newSheet } from './sheets.ts';

type Own = 'kind' | 'rows' | 'pattern' | 'widthIn' | 'sheets';

/** What a new joint of any kind begins with: the rule's rivet, everything else the plainest choice. */
const NEW_COMMON: Omit<EnteredOf<'lap'>, Own> = {
  family: 'clad-2024',
  reckonOn: 'thickest',
  location: 'general',
  head: 'universal',
  alloy: 'AD',
  dash: 'rule',
  prefer: 'profile',
  scale: '1/32',
  datum: 'start',
  strengthSheet: 'family',
  edgeIn: '',
  nearPitchIn: '',
  perInch: '',
  perInchReason: '',
  toolClearanceIn: '',
  keepOuts: [],
  fixed: [],
  edits: [],
  tries: []
};

const sheets = (...names: string[]) => names.map((name) => newSheet(name));

const rowed = { rows: 'auto', pattern: 'in-line', widthIn: '' } as const;

/** A joint of each kind with everything still to be measured. */
const NEW: { [K in JointKind]: EnteredOf<K> } = {
  lap: { ...NEW_COMMON, ...rowed, kind: 'lap', sheets: sheets('upper sheet', 'lower sheet') },
  splice: {
    ...NEW_COMMON,
    ...rowed,
    kind: 'splice',
    gapIn: '',
    farSheetIn: '',
    sheets: sheets('skin', 'strap')
  },
  patch: {
    ...NEW_COMMON,
    kind: 'patch',
    style: 'flush',
    carries: 'guidance',
    rows: 1,
    crackDrill: '#40',
    cutoutWIn: '',
    cutoutHIn: '',
    cornerRadiusIn: '',
    insertClearanceIn: '',
    insertSheetIn: '',
    crackIn: '',
    crackTurnDeg: '',
    sheets: sheets('skin', 'doubler')
  },
  round: {
    ...NEW_COMMON,
    kind: 'round',
    insert: true,
    carries: 'guidance',
    rings: 1,
    cutoutIn: '',
    insertClearanceIn: '',
    insertSheetIn: '',
    sheets: sheets('skin', 'doubler')
  },
  line: {
    ...NEW_COMMON,
    kind: 'line',
    carries: 'guidance',
    lengthIn: '',
    flangeIn: '',
    bendRadiusIn: '',
    offsetIn: '',
    divides: [],
    sheets: sheets('skin', 'flange')
  },
  tapered: {
    ...NEW_COMMON,
    kind: 'tapered',
    carries: 'guidance',
    lines: 1,
    lengthIn: '',
    flangeIn: '',
    flangeEndIn: '',
    zones: [],
    sheets: sheets('skin', 'flange')
  },
  panel: {
    ...NEW_COMMON,
    kind: 'panel',
    material: 'acrylic',
    widthIn: '',
    heightIn: '',
    frameIn: '',
    bracketIn: '',
    deltaTC: '',
    topCount: '',
    bottomCount: '',
    leftCount: '',
    rightCount: '',
    sheets: sheets('frame strip', 'clear panel', 'frame')
  },
  sandwich: {
    ...NEW_COMMON,
    ...rowed,
    kind: 'sandwich',
    shear: 'single',
    gapIn: '',
    sheets: sheets('strap', 'broken member', 'strap')
  }
};

/** A new joint of a kind: the rule's rivet, the plainest choices, nothing measured yet. */
export const newJoint = <K extends JointKind>(kind: K): EnteredOf<K> => NEW[kind];

/** Every kind in the order they are offered. */
export const JOINT_KINDS = Object.keys(NEW) as JointKind[];

/** A joint's own name of its kind. */
export const KIND_NAMES: Record<JointKind, string> = {
  lap: 'lap joint',
  splice: 'butt splice',
  patch: 'rectangular patch',
  round: 'round patch',
  line: 'line on a flange',
  tapered: 'long tapered member',
  panel: 'frame round a clear panel',
  sandwich: 'splice between two straps'
};
