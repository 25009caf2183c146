import { layersOf, type Stacking } from '../../stack/layers.ts';
import type { Sheet } from '../../joint/sheets.ts';

interface WithInsert {
  sheets: readonly Sheet[];
  /** null: as thick as the skin */
  insertSheetIn: number | null;
}

/** How thick the insert is. */
export const insertThicknessIn = ({ insertSheetIn, sheets }: WithInsert): number =>
  insertSheetIn ?? sheets[0]?.thicknessIn ?? 0;

/** The insert's rivets go through another stack than the skin's. */
export const hasOwnStack = (joint: WithInsert): boolean =>
  insertThicknessIn(joint) !== joint.sheets[0]?.thicknessIn;

/** What the skin's and the insert's rivets go through; `filled`: there is an insert. */
export function stackingsOf(
  joint: WithInsert,
  filled: boolean,
  names: { skin: string; insert: string }
): Stacking[] {
  const [skin, ...backing] = joint.sheets;
  const through = [{ name: names.skin, layers: layersOf(joint.sheets, null) }];
  if (!filled || !hasOwnStack(joint)) return through;
  const insert = { ...skin, name: 'insert', film: false, thicknessIn: insertThicknessIn(joint) };
  return [...through, { name: names.insert, layers: layersOf([insert, ...backing], null) }];
}
