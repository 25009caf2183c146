/** What came back from the server; `reached` is false when it could not be asked at all. */
export type Reply =
  { reached: false } | { reached: true; status: number; ok: boolean; body: unknown };

/** Sends JSON to the application's own server. */
export async function send(
  method: 'POST' | 'PUT',
  path: string,
  body: unknown,
  keepalive = false
): Promise<Reply> {
  try {
    const response = await fetch(path, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
      keepalive
    });
    return {
      reached: true,
      status: response.status,
      ok: response.ok,
      body: await response.json().catch(() => null)
    };
  } catch {
    return { reached: false };
  }
}

/** The message of a refusal, or a plain sentence when it has none. */
export function messageOf(reply: Extract<Reply, { reached: true }>): string {
  const { body } = reply;
  return typeof body === 'object' && body !== null && 'message' in body
    ? String(body.message)
    : `the server answered ${reply.status}`;
}
