const SAFE_METHODS: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Answers arithmetic and stores nothing, so any program on this machine may ask it. */
const isPureCalculation = (path: string): boolean => path.startsWith('/api/calc/');

/**
 * Whether a request may change something: only pages of this application may, whatever the body's type.
 *
 * @param request method and headers
 * @param url the request's own address
 * @returns null when it may, else why not
 */
export function refuseForeignChange(
  request: Pick<Request, 'method' | 'headers'>,
  url: Pick<URL, 'origin' | 'pathname'>
): string | null {
  if (SAFE_METHODS.has(request.method) || isPureCalculation(url.pathname)) return null;
  const origin = request.headers.get('origin');
  const site = request.headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin')
    return 'this request comes from another site; only Zanjador’s own pages may change records';
  if (origin !== null) return origin === url.origin ? null : `requests from ${origin} are refused`;
  return site === 'same-origin'
    ? null
    : 'this request does not say where it comes from; only Zanjador’s own pages may change records';
}
