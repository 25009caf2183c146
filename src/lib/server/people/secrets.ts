import { createHash, randomBytes, randomInt } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';

/** 19 MB and two passes: what public guidance asks of argon2id at least; the package's default algorithm is argon2id. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export const hashSecret = (secret: string): Promise<string> => hash(secret, COST);

/** A hash of nothing anybody types: an unknown login takes as long as a wrong password. */
let decoy: Promise<string> | null = null;

/** Whether a secret is the one that was kept; null: none was, and it takes as long all the same. */
export async function isSecret(kept: string | null, secret: string): Promise<boolean> {
  decoy ??= hashSecret(randomBytes(24).toString('base64'));
  const right = await verify(kept ?? (await decoy), secret);
  return kept !== null && right;
}

/** What a browser holds: nobody guesses it. */
export const newToken = (): string => randomBytes(32).toString('base64url');
/** What the database keeps of it: whoever reads that does not come in with it. */
export const tokenHash = (token: string): string =>
  createHash('sha256').update(token).digest('base64url');

/** Letters and figures that nobody mistakes for each other. */
const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
/** A code that is read aloud and typed once: 60 bits, in groups of four. */
export const newCode = (): string =>
  Array.from({ length: 12 }, (_, at) =>
    (at > 0 && at % 4 === 0 ? '-' : '').concat(LETTERS.charAt(randomInt(LETTERS.length)))
  ).join('');
/** As it was made, however it was typed. */
export const readCode = (typed: string): string => typed.toUpperCase().replace(/[^A-Z0-9]/g, '');
export const codeHash = (code: string): string => tokenHash(readCode(code));
