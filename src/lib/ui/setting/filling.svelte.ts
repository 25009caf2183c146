import type { z } from 'zod';
import type { RefusalSaid } from '$core/refusal-said.ts';
import { problemsOf } from '$core/schema/read.ts';
import { KeptFields } from '$lib/client/kept-fields.svelte';

interface Asked<T> {
  /** of what this browser keeps */
  name: string;
  Schema: z.ZodType<T>;
  /** what is known already, which typing goes over */
  told: () => Readonly<Record<string, string>>;
  /** what the schema reads, of the fields as they stand */
  entered: (of: (field: string) => string) => unknown;
}

/** A form being filled in: what is known, what is typed over it and kept in this browser, and how it reads. */
export class Filling<T> {
  readonly #kept: KeptFields;
  readonly #asked: Asked<T>;

  constructor(asked: Asked<T>) {
    this.#asked = asked;
    this.#kept = new KeptFields(asked.name);
  }

  readonly of = (field: string): string => this.#kept.of(field) ?? this.#asked.told()[field] ?? '';

  /** As the form shows it, where that is more than what is known or typed. */
  shown(field: string): string {
    return this.of(field);
  }

  readonly type = (field: string, value: string): void => this.#kept.type(field, value);

  readonly read = $derived.by(() =>
    this.#asked.Schema.safeParse(this.#asked.entered(this.of), { reportInput: true })
  );
  readonly #problems = $derived(
    new Map<string, RefusalSaid>(
      this.read.success
        ? []
        : problemsOf(this.read.error).map(({ path, said }) => [String(path), said])
    )
  );

  readonly problemOf = (field: string) => {
    const said = this.#problems.get(field);
    return said === undefined ? undefined : { said, instead: null };
  };

  restore(): void {
    void this.#kept.restore(1);
  }

  /** It is stored now. */
  forget(): void {
    this.#kept.forget();
  }

  /** To be filled in again from the start. */
  clear(): void {
    this.#kept.clear(...Object.keys(this.#kept.all));
  }
}
