import { newSheet } from '../joint/sheets.ts';

/** What a new joint of any kind begins with: the rule's rivet, everything else the plainest choice. */
export const BLANK = {
  family: 'clad-2024',
  reckonOn: 'thickest',
  location: 'general',
  head: 'universal',
  alloy: 'AD',
  dash: 'rule',
  prefer: 'profile',
  scale: '1/32',
  divisionsFrom: 'datum',
  datum: 'start',
  thickMeant: {} as Record<string, string>,
  strengthSheet: 'family',
  edgeIn: '',
  nearPitchIn: '',
  holdPitchIn: '',
  holdPitchReason: '',
  perInch: '',
  perInchReason: '',
  closed: false,
  closedReason: '',
  ownHeads: false,
  headWideLowD: '',
  headWideHighD: '',
  headHighLowD: '',
  headHighHighD: '',
  headsReason: '',
  toolClearanceIn: '',
  keepOuts: [] as never[],
  fixed: [] as never[],
  edits: [] as never[],
  tries: [] as never[],
  spans: [] as never[]
} as const satisfies Record<string, unknown>;

/** Sheets of a new joint by their names. */
export const blankSheets = (...names: string[]) =>
  names.map((name, index) => newSheet(name, '', `sheet-${index + 1}`));
