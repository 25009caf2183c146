import type { PlainUnit } from '$core/devices/plain-reading.ts';
import type { DevicePlace } from '$lib/api/devices.ts';
import { INSTRUMENTS } from '$lib/words/pages/instruments';
import { KeyboardPort } from './keyboard-port';
import { ServedPort, type LinePort } from './line-port';
import { serialLines, SerialPort } from './serial-port';

export type PortKey = 'simulated' | 'keyboard' | 'serial';

/** One way to an instrument. */
export interface PortWay {
  text: string;
  /** whether this browser has it */
  there: () => boolean;
  make: (at: DevicePlace, unit: () => PlainUnit) => LinePort;
}

const simulated: PortWay = {
  text: INSTRUMENTS.simulated,
  there: () => true,
  make: (at) => new ServedPort(at)
};
const keyboard: PortWay = {
  text: INSTRUMENTS.typesItself,
  there: () => true,
  make: (_, unit) => new KeyboardPort(unit)
};
const serial = (plain: boolean): PortWay => ({
  text: INSTRUMENTS.serial,
  there: () => serialLines() !== null,
  make: (_, unit) => {
    const lines = serialLines();
    if (!lines) throw new Error('this browser has no serial lines');
    return new SerialPort(lines, plain ? unit : null);
  }
});

/** The ways to each instrument, the one it begins with first. A plain figure is a width: a depth gauge says its own lines. */
export const PORTS: Record<DevicePlace['device'], Partial<Record<PortKey, PortWay>>> = {
  caliper: { simulated, keyboard, serial: serial(true) },
  'depth-gauge': { simulated, serial: serial(false) }
};
