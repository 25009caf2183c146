import type { Database } from '$lib/server/db/connect';
import type { LengthStyle } from '$core/units/format-length.ts';
import type { WriteLength } from '$lib/words/writing';
import type { TrustedBench } from '$lib/server/people/benches';
import type { Present } from '$lib/server/people/sessions';

declare global {
  /** where this build keeps its pages in a browser */
  const __PAGES_CACHE__: string;
  namespace App {
    interface Locals {
      /** opened at first use */
      database: () => Database;
      /** the request’s own name, in the log and in its answer */
      request: string;
      /** who is at the bench; null until someone says so */
      person: Present | null;
      /** the database did not answer: the page says so under 503 */
      away?: boolean;
      /** the device, where a lead has trusted it */
      bench: TrustedBench | null;
      /** writes a length for whoever asks; in inches where they did not say */
      length: WriteLength;
      /** the style it writes in; null: decimal inches */
      style: LengthStyle | null;
    }
  }
}

export {};
