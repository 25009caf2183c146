import { Instrument } from './instrument.svelte';

/** A caliper behind any port: what it is, and each reading that its button sends. */
export class Caliper extends Instrument {
  /** @param onread called whenever its button was pressed */
  constructor(onread: (widthIn: number) => void) {
    super('caliper', (said) => {
      if (said.kind === 'width') onread(said.widthIn);
    });
  }
}
