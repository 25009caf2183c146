import { size } from './size/station';
import { inspect } from './inspect/station';
import { drive } from './drive/station';
import { layout } from './layout/station';
import { prepare } from './prepare/station';
import { sign } from './sign/station';
import { stackUp } from './stack-up/station';

/** The stations of a joint in the order of the work. */
export const STATIONS = [size, layout, stackUp, prepare, drive, inspect, sign] as const;

export type StationKey = (typeof STATIONS)[number]['key'];
type AnyStation = (typeof STATIONS)[number];

/** @returns undefined where no station has that key */
export const stationOf = (key: string): AnyStation | undefined =>
  STATIONS.find((station) => station.key === key);
