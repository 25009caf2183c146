/** What a writer was told is stored. */
export type Acknowledged =
  | { what: 'event'; table: string; subject: string; id: string; payload: string }
  | { what: 'save'; joint: string; revision: number; title: string }
  | { what: 'release'; joint: string; revision: number; number: number };

/** What was sent and what was acknowledged. */
export class Ledger {
  readonly acknowledged: Acknowledged[] = [];
  /** ids of all events that were sent, acknowledged or not */
  readonly sent = new Set<string>();
  /** titles of all saves that were sent */
  readonly titles = new Set<string>();
  /** answers that said no, in words: a soak that is refused proves nothing */
  readonly refused: string[] = [];
  /** how often something had to be sent again */
  again = 0;
}
