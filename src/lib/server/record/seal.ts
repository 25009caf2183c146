import { createHash } from 'node:crypto';
import canonicalize from 'canonicalize';
import type { JointRecord, Seal } from '../../../core/signing/record.ts';

/** SHA-256 of the canonical form of a JSON value (RFC 8785). */
export function digestOf(value: unknown): string {
  const canonical = canonicalize(value);
  if (canonical === undefined) throw new TypeError('only JSON has a canonical form');
  return createHash('sha256').update(canonical).digest('hex');
}

/** Every part that has a digest of its own: members of the record, and entries of its lists. */
function partsOf(record: Record<string, unknown>): [string, unknown][] {
  return Object.entries(record).flatMap(([name, value]): [string, unknown][] =>
    Array.isArray(value)
      ? value.map((entry, at): [string, unknown] => [`${name}.${at}`, entry])
      : [[name, value]]
  );
}

/** Seals a record as JSON carries it. */
export function sealOf(record: JointRecord): Seal {
  // as it is read back: what JSON does not carry is no part of it
  const carried = JSON.parse(JSON.stringify(record)) as Record<string, unknown>;
  return {
    method: 'SHA-256 of RFC 8785 canonical JSON',
    digest: digestOf(carried),
    parts: Object.fromEntries(partsOf(carried).map(([path, value]) => [path, digestOf(value)]))
  };
}

/**
 * Holds a record against its seal.
 *
 * @param record as read from its file, any JSON object
 * @returns where it differs: parts changed, missing or added; `digest` where the parts hold and the digest itself does not
 */
export function brokenParts(record: Record<string, unknown>, { digest, parts }: Seal): string[] {
  const now = new Map(partsOf(record).map(([path, value]) => [path, digestOf(value)]));
  const broken = [...new Set([...Object.keys(parts), ...now.keys()])].filter(
    (path) => parts[path] !== now.get(path)
  );
  if (broken.length > 0) return broken;
  return digestOf(record) === digest ? [] : ['digest'];
}
