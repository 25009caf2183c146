const KB = 1000;

/** How much may come where nobody has signed in; everywhere else the adapter's own limit holds. */
const LIMITS: readonly { under: string; most: number }[] = [
  { under: '/api/calc/', most: 256 * KB },
  { under: '/who', most: 16 * KB }
];
/** Fields without a file are short. */
const FIELDS = { type: 'application/x-www-form-urlencoded', most: 64 * KB };

/** How much is read there; null: as much as the adapter takes. */
function mostAt(path: string, headers: Headers): number | null {
  const here = LIMITS.find(({ under }) => path.startsWith(under));
  if (here) return here.most;
  return headers.get('content-type')?.toLowerCase().startsWith(FIELDS.type) ? FIELDS.most : null;
}

/**
 * Whether more is sent than is read there: told by the length that stands before the body, so that nothing of it is read.
 *
 * @returns the refusal; null where it may be read
 */
export function tooMuch(
  method: string,
  path: string,
  headers: Headers
): { status: 411 | 413; message: string } | null {
  const most = mostAt(path, headers);
  if (method !== 'POST' || most === null) return null;
  const length = headers.get('content-length');
  // without one a body has no end that can be told before it is read
  if (length === null)
    return headers.has('transfer-encoding')
      ? { status: 411, message: 'say how long it is: a content-length is expected' }
      : null;
  return Number(length) <= most
    ? null
    : {
        status: 413,
        message: `at most ${most / KB} kB is taken here; ${Math.ceil(Number(length) / KB)} kB was sent`
      };
}
