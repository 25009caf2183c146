import { describe, expect, it, vi } from 'vitest';
import { Caliper } from './caliper.svelte';
import { DepthGauge } from './depth-gauge.svelte';
import { KeyboardPort } from './keyboard-port';
import { SerialPort } from './serial-port';

/** A serial line as a browser hands it out, the instrument's end of it in the test's hands. */
function line() {
  const sent: string[] = [];
  let say: (text: string) => void = () => undefined;
  let unplug: () => void = () => undefined;
  const open = vi.fn(() => Promise.resolve());
  const close = vi.fn(() => Promise.resolve());
  const port = {
    open,
    close,
    readable: new ReadableStream<Uint8Array>({
      start(controller) {
        say = (text) => controller.enqueue(new TextEncoder().encode(text));
        unplug = () => controller.error(new Error('the device has been lost'));
      }
    }),
    writable: new WritableStream<Uint8Array>({
      write: (chunk) => void sent.push(new TextDecoder().decode(chunk))
    })
  };
  return { lines: { requestPort: () => Promise.resolve(port) }, open, close, sent, say, unplug };
}
const settled = () => new Promise((resolve) => setTimeout(resolve, 5));

describe('a caliper that types', () => {
  it('sends what was typed as a reading, by what its display shows', () => {
    const read: number[] = [];
    const caliper = new Caliper((widthIn) => read.push(widthIn));
    let unit: 'in' | 'mm' = 'in';
    const port = new KeyboardPort(() => unit);
    caliper.connect(port);
    expect([caliper.open, caliper.simulated, caliper.name]).toEqual([
      true,
      false,
      'types its own readings'
    ]);
    expect(port.typed('0.2345')).toBe(true);
    unit = 'mm';
    expect(port.typed('4.80')).toBe(true);
    expect(port.typed('E 04')).toBe(false);
    expect(read[0]).toBeCloseTo(0.2345, 6);
    expect(read[1]).toBeCloseTo(0.18898, 5);
    expect(read).toHaveLength(2);
    caliper.disconnect();
    port.typed('0.1');
    expect(read).toHaveLength(2);
  });
});

describe('an instrument on a serial line', () => {
  it('reads plain figures and lines of the protocol, however they are cut', async () => {
    const wire = line();
    const read: number[] = [];
    const caliper = new Caliper((widthIn) => read.push(widthIn));
    caliper.connect(new SerialPort(wire.lines, () => 'mm'));
    await settled();
    expect(wire.open).toHaveBeenCalledWith({ baudRate: 9600 });
    expect(caliper.open).toBe(true);
    expect(wire.sent).toEqual(['ID?\n']);
    wire.say('ID bench caliper\r\n+004.8');
    wire.say('0\r\nWIDTH 0.1');
    wire.say('9 in\n');
    await settled();
    expect(caliper.name).toBe('bench caliper');
    expect(read[0]).toBeCloseTo(0.18898, 5);
    expect(read[1]).toBeCloseTo(0.19, 6);
    wire.say('low battery\n');
    await settled();
    expect(caliper.problem).toContain('low battery');
    caliper.disconnect();
    await settled();
    expect([caliper.open, wire.close.mock.calls.length]).toEqual([false, 1]);
  });

  it('says that it is gone when it is unplugged, and where none was chosen', async () => {
    const wire = line();
    const caliper = new Caliper(() => undefined);
    caliper.connect(new SerialPort(wire.lines, () => 'in'));
    await settled();
    wire.unplug();
    await settled();
    expect(caliper.open).toBe(false);
    caliper.connect(
      new SerialPort({ requestPort: () => Promise.reject(new Error('no port selected')) }, null)
    );
    await settled();
    expect(caliper.open).toBe(false);
  });

  it('takes no plain figure for a depth gauge, and no zero from the gauge before', async () => {
    const read: number[] = [];
    const gauge = new DepthGauge(({ flushnessIn }) => read.push(flushnessIn));
    const one = line();
    gauge.connect(new SerialPort(one.lines, null));
    await settled();
    one.say('ZEROED\nFLUSH -0.0021 in\n0.0021\n');
    await settled();
    expect([gauge.zeroed, read]).toEqual([true, [-0.0021]]);
    expect(gauge.problem).toContain('0.0021');
    gauge.disconnect();
    gauge.connect(new SerialPort(line().lines, null));
    expect(gauge.zeroed).toBe(false);
  });
});
