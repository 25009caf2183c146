/** A database that does not say who comes in this time says nothing else either, ms. */
export const ANSWER_MS = 1800;

/** A database that holds a connection open and says nothing. */
export class Unanswered extends Error {
  override name = 'Unanswered';
}

/**
 * Waits so long for an answer and no longer: a database that hangs is one that is away.
 *
 * @throws Unanswered after that
 */
export async function within<T>(ms: number, asked: Promise<T>): Promise<T> {
  let timer: NodeJS.Timeout | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Unanswered(`no answer within ${ms} ms`)), ms);
  });
  try {
    return await Promise.race([asked, late]);
  } finally {
    clearTimeout(timer);
    // whatever comes of it later, nobody waits for it
    asked.catch(() => undefined);
  }
}
