import type { Sheet } from '../../joint/sheets.ts';
import type { LoadedSheet, MetalSheets } from '../kind.ts';

type Thick = Pick<Sheet, 'material' | 'thicknessIn' | 'endThicknessIn'>;

const ends = ({ thicknessIn, endThicknessIn }: Thick): number[] =>
  endThicknessIn === null ? [thicknessIn] : [thicknessIn, endThicknessIn];

/** A sheet as thin as it gets. */
export const thin = ({ material, thicknessIn, endThicknessIn }: Thick): LoadedSheet => ({
  told: material,
  thicknessIn: Math.min(thicknessIn, endThicknessIn ?? thicknessIn)
});

/** Sheets that all size the rivet and all carry. */
export const allMetal = (sheets: readonly Thick[]): MetalSheets => ({
  sizing: sheets.flatMap(ends),
  countedOnIn: null,
  loaded: sheets.map(thin),
  shear: 'single'
});
