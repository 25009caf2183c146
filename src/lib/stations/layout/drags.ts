import { fixedMoved } from '$core/edit/hole-edits.ts';
import { gridPerIn } from '$core/layout/fill-line.ts';
import type { LayerEnd } from '$core/stack/layer-ends.ts';
import { snapToRuler } from '$core/units/ruler.ts';
import type { Workspace } from '$lib/client/workspace.svelte';

const write = (inches: number) => String(Number(inches.toFixed(6)));

/** What is moved by hand in the plan view. It falls on the ruler's divisions; one hold is one step of undo. */
export class Drags {
  readonly #workspace: Workspace;
  /** counts how often something was taken hold of */
  #hold = 0;

  constructor(workspace: Workspace) {
    this.#workspace = workspace;
  }

  /** A finger or the mouse has come down. */
  readonly take = (): void => {
    this.#hold += 1;
  };

  /** @param xIn, yIn its new place, inches from the corner */
  readonly keepOut = (id: string, xIn: number, yIn: number): void => {
    const keepOuts = this.#workspace.entered.keepOuts.map((keepOut) =>
      keepOut.id === id
        ? { ...keepOut, xIn: write(this.#onRuler(xIn)), yIn: write(this.#onRuler(yIn)) }
        : keepOut
    );
    this.#workspace.edit({ keepOuts }, `keepOuts ${id}`, this.#hold);
  };

  readonly layerEnd = (id: string, end: LayerEnd['end'], xIn: number): void => {
    const field = end === 'begin' ? 'fromIn' : 'toIn';
    const sheets = this.#workspace.entered.sheets.map((sheet) =>
      sheet.id === id ? { ...sheet, [field]: write(Math.max(0, this.#onRuler(xIn))) } : sheet
    );
    this.#workspace.edit({ sheets }, `sheets ${id} ${field}`, this.#hold);
  };

  readonly fixed = (id: string, alongIn: number): void => {
    const moved = fixedMoved(this.#workspace.entered, id, this.#onRuler(alongIn));
    this.#workspace.edit(moved, `fixed ${id}`, this.#hold);
  };

  #onRuler(inches: number): number {
    const { scale } = this.#workspace.entered;
    return scale === 'exact'
      ? Math.round(inches * gridPerIn('exact')) / gridPerIn('exact')
      : snapToRuler(inches, scale);
  }
}
