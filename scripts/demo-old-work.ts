/** What service left on the made-up flying boat: everything here is invented. */
import { randomUUID } from 'node:crypto';
import type { OldWorkMove } from '../src/core/old-work/old-work-stream.ts';
import type { Unstamped } from '../src/core/events/stream.ts';
import type { Database } from '../src/lib/server/db/connect.ts';
import { oldWorkEvents } from '../src/lib/server/events/old-work-events.ts';
import { recordMoves, type Sender } from '../src/lib/server/events/record.ts';
import { must } from './must.ts';

const MINUTE_MS = 60_000;

/** A row that smokes, half looked around; a gap that was referred. */
export async function seedDemoOldWork(
  database: Database,
  inspector: Sender,
  jointId: string,
  atMs: number
): Promise<void> {
  const [smoking, gap] = [randomUUID(), randomUUID()];
  const moves: [string, Unstamped<OldWorkMove>][] = [
    [
      smoking,
      {
        kind: 'found',
        sign: 'smoking',
        where: 'frame 11, row above the flange, rivets 6 to 8',
        note: 'dark trails aft of three heads',
        hours: 6240
      }
    ],
    [randomUUID(), { kind: 'looked-around', finding: smoking, what: 'neighbors', seen: '' }],
    [
      randomUUID(),
      { kind: 'looked-around', finding: smoking, what: 'oval-holes', seen: 'rivet 7 rocks' }
    ],
    [gap, { kind: 'found', sign: 'gap', where: 'frame 11, lower end', note: '', hours: 6240 }],
    [
      randomUUID(),
      { kind: 'looked-around', finding: gap, what: 'neighbors', seen: 'none at the next two' }
    ],
    [
      randomUUID(),
      { kind: 'disposed', finding: gap, disposition: 'refer', authority: '', note: '' }
    ]
  ];
  const stamped = moves.map(([id, move], at): OldWorkMove => ({
    ...move,
    id,
    at: new Date(atMs + at * MINUTE_MS).toISOString()
  }));
  must(await recordMoves(database, oldWorkEvents, jointId, stamped, inspector));
}
