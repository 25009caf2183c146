import type { Database } from '$lib/server/db/connect';
import type { LengthStyle } from '$core/units/format-length.ts';
import type { WriteLength } from '$lib/words/writing';
import type { PersonView } from '$lib/server/services/people';

declare global {
  namespace App {
    interface Locals {
      /** opened at first use */
      database: () => Database;
      /** who is at the bench; null until someone says so */
      person: PersonView | null;
      /** writes a length for whoever asks; in inches where they did not say */
      length: WriteLength;
      /** the style it writes in; null: decimal inches */
      style: LengthStyle | null;
    }
  }
}

export {};
