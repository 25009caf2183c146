import { readGaugeLine } from '$core/devices/gauge-lines.ts';
import type { LinePort } from './line-port';

/** A caliper behind any port: what it is, and each reading that its button sends. */
export class Caliper {
  open = $state(false);
  name = $state('');
  simulated = $state(false);
  problem = $state('');

  /** @param onread called whenever its button was pressed */
  constructor(
    private readonly port: LinePort,
    private readonly onread: (widthIn: number) => void
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
    if (!(await this.port.write(lines))) this.problem = 'The caliper does not answer.';
  }

  disconnect(): void {
    this.port.close();
    this.open = false;
  }

  #take(line: string): void {
    const said = readGaugeLine(line);
    if (!said) this.problem = `The caliper said something unknown: ${line.slice(0, 40)}`;
    else if (said.kind === 'id') {
      this.name = said.name;
      this.simulated = said.simulated;
    } else if (said.kind === 'error') this.problem = `The caliper says: ${said.message}`;
    else if (said.kind === 'width') this.onread(said.widthIn);
  }
}
