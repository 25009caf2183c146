import { carry } from './carry/station';
import { check } from './check/station';
import { drive } from './drive/station';
import { layOut } from './lay-out/station';
import { makeReady } from './make-ready/station';
import { sign } from './sign/station';
import { stack } from './stack/station';

/** The stations of a joint in the order of the work. */
export const STATIONS = [carry, layOut, stack, makeReady, drive, check, sign] as const;

export type StationKey = (typeof STATIONS)[number]['key'];
type AnyStation = (typeof STATIONS)[number];

/** @returns undefined where no station has that key */
export const stationOf = (key: string): AnyStation | undefined =>
  STATIONS.find((station) => station.key === key);
