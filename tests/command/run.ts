import { spawn } from 'node:child_process';
import { once } from 'node:events';

/** A slow machine may take minutes to start; nothing here measures speed. */
export const PATIENCE_MS = 240_000;

export interface Finished {
  code: number | null;
  out: string;
  err: string;
}

/** Runs the command to its end. */
export async function run(
  args: string[],
  input = '',
  env: Record<string, string> = {}
): Promise<Finished> {
  const child = spawn('bash', ['zanjador', ...args], { env: { ...process.env, ...env } });
  let out = '';
  let err = '';
  child.stdout.on('data', (data: Buffer) => (out += data.toString()));
  child.stderr.on('data', (data: Buffer) => (err += data.toString()));
  child.stdin.end(input);
  const [code] = (await once(child, 'close')) as [number | null];
  return { code, out, err };
}
