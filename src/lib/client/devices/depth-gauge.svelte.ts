import { Instrument } from './instrument.svelte';
import type { LinePort } from './line-port';

/** A reading as it came in. */
export interface GaugeReading {
  flushnessIn: number;
  /** of a gauge that was not zeroed it says nothing */
  zeroed: boolean;
}

/** A depth gauge behind any port: what it is, whether it is zeroed, and what it read last. */
export class DepthGauge extends Instrument {
  zeroed = $state(false);
  /** simulated only: where the cage stands, and whether a hole is cut there */
  at = $state<number | null>(null);

  /** @param onread called for every reading, also one that was taken at the gauge itself */
  constructor(onread: (reading: GaugeReading) => void) {
    super('gauge', (said) => {
      if (said.kind === 'zeroed') this.zeroed = true;
      else if (said.kind === 'at' || said.kind === 'cut') this.at = said.clicks;
      else if (said.kind === 'flush') {
        this.zeroed = said.zeroed;
        onread({ flushnessIn: said.flushnessIn, zeroed: said.zeroed });
      }
    });
  }

  /** Another gauge, or the same again: nobody has zeroed it yet. */
  override connect(port: LinePort): void {
    this.zeroed = false;
    super.connect(port);
  }
}
