import { readGaugeLine, type GaugeLine } from '$core/devices/gauge-lines.ts';
import type { LinePort } from './line-port';

/** An instrument behind any port: whether it is there, what it is called, and what it says. */
export class Instrument {
  open = $state(false);
  name = $state('');
  simulated = $state(false);
  problem = $state('');

  #port: LinePort | null = null;

  /**
   * @param called what it is, as in “the gauge”
   * @param onsaid called for whatever it says of its own matter
   */
  constructor(
    private readonly called: string,
    private readonly onsaid: (said: GaugeLine) => void
  ) {}

  connect(port: LinePort): void {
    this.name = this.problem = '';
    this.simulated = false;
    this.#port = port;
    port.open(
      (line) => this.#take(line),
      (open) => {
        this.open = open;
        if (open) void this.say('ID?');
      }
    );
  }

  async say(...lines: string[]): Promise<void> {
    this.problem = '';
    if (!(await this.#port?.write(lines))) this.problem = `The ${this.called} does not answer.`;
  }

  disconnect(): void {
    this.#port?.close();
    this.#port = null;
    this.open = false;
  }

  #take(line: string): void {
    const said = readGaugeLine(line);
    if (!said) this.problem = `The ${this.called} said something unknown: ${line.slice(0, 40)}`;
    else if (said.kind === 'id') {
      this.name = said.name;
      this.simulated = said.simulated;
    } else if (said.kind === 'error') this.problem = `The ${this.called} says: ${said.message}`;
    else this.onsaid(said);
  }
}
