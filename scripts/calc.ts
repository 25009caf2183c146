/** The calc command: JSON lines in, one JSON answer a line out, in order. No database, no server. */
import { createInterface } from 'node:readline';
import { calcLine } from '../src/core/calc.ts';
import { answerInWords } from '../src/lib/words/arithmetic.ts';

const lines = createInterface({ input: process.stdin, crlfDelay: Infinity });
for await (const line of lines)
  process.stdout.write(`${JSON.stringify(answerInWords(calcLine(line)))}\n`);
