import { readGaugeLine } from '$core/devices/gauge-lines.ts';
import type { LinePort } from './line-port';

/** A reading as it came in. */
export interface GaugeReading {
  flushnessIn: number;
  /** of a gauge that was not zeroed it says nothing */
  zeroed: boolean;
}

/** A depth gauge behind any port: what it is, whether it is zeroed, and what it read last. */
export class DepthGauge {
  open = $state(false);
  name = $state('');
  simulated = $state(false);
  zeroed = $state(false);
  /** simulated only: where the cage stands, and whether a hole is cut there */
  at = $state<number | null>(null);
  problem = $state('');

  /** @param onread called for every reading, also one that was taken at the gauge itself */
  constructor(
    private readonly port: LinePort,
    private readonly onread: (reading: GaugeReading) => void
  ) {}

  connect(): void {
    this.port.open(
      (line) => this.#take(line),
      (open) => {
        this.open = open;
        if (open) void this.say('ID?');
      }
    );
  }

  async say(...lines: string[]): Promise<void> {
    this.problem = '';
    if (!(await this.port.write(lines))) this.problem = 'The gauge does not answer.';
  }

  disconnect(): void {
    this.port.close();
    this.open = false;
  }

  #take(line: string): void {
    const said = readGaugeLine(line);
    if (!said) this.problem = `The gauge said something unknown: ${line.slice(0, 40)}`;
    else if (said.kind === 'id') {
      this.name = said.name;
      this.simulated = said.simulated;
    } else if (said.kind === 'zeroed') this.zeroed = true;
    else if (said.kind === 'at' || said.kind === 'cut') this.at = said.clicks;
    else if (said.kind === 'error') this.problem = `The gauge says: ${said.message}`;
    else if (said.kind === 'flush') {
      this.zeroed = said.zeroed;
      this.onread({ flushnessIn: said.flushnessIn, zeroed: said.zeroed });
    }
  }
}
