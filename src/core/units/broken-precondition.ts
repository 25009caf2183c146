/** Something that the program itself promised is not so: a mistake in the program, never of whoever types. */
export class BrokenPrecondition extends Error {
  override readonly name = 'BrokenPrecondition';
  constructor(
    readonly path: string,
    readonly expected: string,
    readonly actual: unknown
  ) {
    super(`${path}: ${expected} is promised; ${String(actual)} is there`);
  }
}
