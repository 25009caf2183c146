import { z } from 'zod';
import { answer, invalidInput, num, workLine, type Answer } from '../answer.ts';
import { rivetSize } from '../catalog/rivets.ts';
import type { Dash, Head } from '../schema/fields.ts';
import { ceilTo } from '../units/tolerance.ts';
import { partNumber } from './part-number.ts';

const count = z.int('a whole number is expected').min(0).max(10_000_000);

/** What a shop draws beyond the count: a tenth, and never fewer than five. */
export const USUAL_SPARES = { percent: 10, atLeast: 5 };

export const BillOfRivetsInput = z.strictObject({
  needs: z.array(z.strictObject({ partNumber: z.string().max(60), count })).max(10_000),
  spares: z
    .strictObject({ percent: z.number().min(0).max(1000), atLeast: count })
    .default(USUAL_SPARES),
  /** counts by part number, when the shop keeps them */
  onHand: z.record(z.string(), count).optional()
});
export type BillOfRivetsInput = z.output<typeof BillOfRivetsInput>;

export interface BillLine {
  partNumber: string;
  needed: number;
  spares: number;
  toDraw: number;
  massEachLb: number;
  massLb: number;
  /** null when no stock was given */
  onHand: number | null;
  short: number | null;
}

export interface BillOfRivets {
  lines: BillLine[];
  /** needed rivets only, without spares */
  massLb: number;
}

/** Aluminium, lb/in³ (sheets). */
export const DENSITY_LB_PER_IN3 = 0.1;

/**
 * Metal in one undriven rivet: shank cylinder and head. The universal head is taken as a spherical cap of
 * its catalogue diameter and height, the countersunk head as a cone frustum down to the shank.
 *
 * @param lengthIn under the head for universal, overall for countersunk
 * @returns in³
 */
export function rivetVolumeIn3(dash: Dash, head: Head, lengthIn: number): number {
  const rivet = rivetSize(dash);
  const shankIn = rivet.diameterIn / 2;
  const { diameterIn, heightIn } = rivet.head[head];
  const headIn = diameterIn / 2;
  const cylinder = (longIn: number) => Math.PI * shankIn ** 2 * longIn;
  return head === 'universal'
    ? cylinder(lengthIn) + (Math.PI * heightIn * (3 * headIn ** 2 + heightIn ** 2)) / 6
    : cylinder(lengthIn - heightIn) +
        (Math.PI * heightIn * (headIn ** 2 + headIn * shankIn + shankIn ** 2)) / 3;
}

/**
 * What to draw from stock for a joint or a job: counts per part number with spares, mass, and what is
 * short when the stock is given. Part numbers are read first, so `ms20470 ad4-5` and `MS20470AD4-5` are one.
 *
 * @param input needs by part number; spares as a percentage and at least a number
 * @returns lines by part number; mass in lb, cylinder plus head volume × 0.100 lb/in³
 * @throws never; a part number that cannot be read is `invalid-input`
 * @source rivets and sheets
 */
export function billOfRivets({ needs, spares, onHand }: BillOfRivetsInput): Answer<BillOfRivets> {
  const lines = new Map<string, BillLine>();
  const stock = new Map<string, number>();
  for (const [text, held] of Object.entries(onHand ?? {})) {
    const read = partNumber({ text });
    const name = read.ok ? read.result.canonical : text;
    stock.set(name, (stock.get(name) ?? 0) + held);
  }
  for (const [index, need] of needs.entries()) {
    const read = partNumber({ text: need.partNumber });
    if (!read.ok) return invalidInput(`needs.${index}.partNumber`, read.error.said);
    const { canonical, dash, head, lengthIn } = read.result;
    const needed = (lines.get(canonical)?.needed ?? 0) + need.count;
    const spare =
      needed === 0 ? 0 : Math.max(spares.atLeast, ceilTo((needed * spares.percent) / 100));
    const toDraw = needed + spare;
    const massEachLb = rivetVolumeIn3(dash, head, lengthIn) * DENSITY_LB_PER_IN3;
    const held = onHand === undefined ? null : (stock.get(canonical) ?? 0);
    lines.set(canonical, {
      partNumber: canonical,
      needed,
      spares: spare,
      toDraw,
      massEachLb,
      massLb: needed * massEachLb,
      onHand: held,
      short: held === null ? null : Math.max(0, toDraw - held)
    });
  }
  const sorted = [...lines.values()].sort((a, b) =>
    a.partNumber.localeCompare(b.partNumber, 'en', { numeric: true })
  );
  return answer(
    { lines: sorted, massLb: sorted.reduce((sum, line) => sum + line.massLb, 0) },
    sorted.flatMap((line) => [
      workLine(
        line.partNumber,
        `${line.needed} + the larger of ${spares.atLeast} and ${num(spares.percent)} %`,
        line.toDraw,
        'rivets'
      ),
      workLine(
        `mass of ${line.partNumber}`,
        `${line.needed} × volume × density = ${line.needed} × ${num(line.massEachLb / DENSITY_LB_PER_IN3)} × ${DENSITY_LB_PER_IN3.toFixed(3)} lb/in³`,
        line.massLb,
        'lb'
      )
    ])
  );
}
