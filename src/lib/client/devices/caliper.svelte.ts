import { Instrument } from './instrument.svelte';
import type { LinePort } from './line-port';

/** A caliper behind any port: what it is, and each reading that its button sends. */
export class Caliper extends Instrument {
  /** @param onread called whenever its button was pressed */
  constructor(port: LinePort, onread: (widthIn: number) => void) {
    super(port, 'caliper', (said) => {
      if (said.kind === 'width') onread(said.widthIn);
    });
  }
}
