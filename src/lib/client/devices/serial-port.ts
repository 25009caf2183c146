import { plainWidth, type PlainUnit } from '$core/devices/plain-reading.ts';
import { readGaugeLine } from '$core/devices/gauge-lines.ts';
import type { LinePort } from './line-port';

/** What of a browser’s serial lines is used here; the library of browser types has none of it. */
interface SerialLine {
  open(how: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
  readonly writable: WritableStream<Uint8Array> | null;
}
interface SerialLines {
  requestPort(): Promise<SerialLine>;
}

const BAUD = 9600;
const LONGEST_LINE = 200;

/** Serial lines as far as this browser has them: only over https or on the machine itself. */
export const serialLines = (): SerialLines | null =>
  (navigator as { serial?: SerialLines }).serial ?? null;

/** An instrument on a serial line of this device: it speaks the lines of docs/depth-gauge.md, or sends plain figures. */
export class SerialPort implements LinePort {
  #line: SerialLine | null = null;
  #closed = false;
  #reader: ReadableStreamDefaultReader<Uint8Array> | null = null;

  /** @param unit what the display of one shows that sends plain figures; null where those are not taken */
  constructor(
    private readonly lines: SerialLines,
    private readonly unit: (() => PlainUnit) | null
  ) {}

  open(online: (line: string) => void, onopen: (open: boolean) => void): void {
    void this.#listen(online, onopen)
      // unplugged, taken by another program, or nothing was chosen
      .catch(() => undefined)
      .finally(() => onopen(false));
  }

  async #listen(online: (line: string) => void, onopen: (open: boolean) => void): Promise<void> {
    const line = await this.lines.requestPort();
    if (this.#closed) return;
    await line.open({ baudRate: BAUD });
    this.#line = line;
    if (!line.readable) return;
    onopen(true);
    this.#reader = line.readable.getReader();
    const decoder = new TextDecoder();
    let rest = '';
    for (;;) {
      const { value, done } = await this.#reader.read();
      if (done) return;
      rest += decoder.decode(value, { stream: true });
      const ended = rest.split(/\r\n|\r|\n/);
      rest = (ended.pop() ?? '').slice(-LONGEST_LINE);
      for (const text of ended) if (text.trim() !== '') online(this.#asLine(text));
    }
  }

  #asLine(text: string): string {
    if (readGaugeLine(text) || this.unit === null) return text;
    return plainWidth(text, this.unit()) ?? text;
  }

  async write(lines: string[]): Promise<boolean> {
    const writer = this.#line?.writable?.getWriter();
    if (!writer) return false;
    try {
      await writer.write(new TextEncoder().encode(lines.map((text) => `${text}\n`).join('')));
      return true;
    } catch {
      return false;
    } finally {
      writer.releaseLock();
    }
  }

  close(): void {
    this.#closed = true;
    const line = this.#line;
    this.#line = null;
    void this.#reader
      ?.cancel()
      .catch(() => undefined)
      .then(() => this.#reader?.releaseLock())
      .then(() => line?.close())
      .catch(() => undefined);
  }
}
