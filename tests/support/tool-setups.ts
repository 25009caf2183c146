import type { DiesSetup, GunSetup, SqueezerSetup } from '../../src/core/tool-setting/tool-setup.ts';

/** A dash 5 universal rivet, -6 long, through 0.1715 of sheet. */
const RIVET = {
  dash: 5,
  head: 'universal',
  alloy: 'AD',
  lengthIn: 0.375,
  gripIn: 0.1715,
  holeIn: 0.159,
  dimpled: false,
  limits: 'standard',
  wideIn3: 0,
  lot: 'K-20'
} as const;

export const squeezerOf = (change: Partial<SqueezerSetup> = {}): SqueezerSetup => ({
  tool: 'squeezer',
  name: 'air squeezer',
  turnIn: 0.06,
  divisionsPerTurn: 8,
  ...RIVET,
  ...change
});

export const gunOf = (change: Partial<GunSetup> = {}): GunSetup => ({
  tool: 'gun',
  name: 'gun 3X',
  set: 'cup set, dash 5',
  bar: 'bar, block',
  ...RIVET,
  ...change
});

export const diesOf = (change: Partial<DiesSetup> = {}): DiesSetup => ({
  tool: 'dies',
  name: 'hand squeezer',
  turnIn: 0.05,
  divisionsPerTurn: 8,
  dash: 4,
  sheetIn: 0.032,
  material: '2024-T3',
  lot: '',
  ...change
});
