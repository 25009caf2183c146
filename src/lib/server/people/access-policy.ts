import type { Right } from '../../../core/people/rights.ts';

/** What a door asks: a right, or nothing. `anyone`: whoever comes; `signed-in`: whoever has said who they are. */
export type Asks = Right | 'anyone' | 'signed-in';
type Method = 'GET' | 'POST' | 'PUT';

/** Moves of a stream ask for the right to what they log. */
export const STREAM_ASKS: Readonly<Record<string, Right>> = {
  step: 'prepare',
  stock: 'prepare',
  cold: 'prepare',
  cage: 'prepare',
  tool: 'prepare',
  drive: 'drive',
  hole: 'inspect',
  rework: 'rework',
  'old-work': 'inspect',
  sign: 'sign'
};

/** Pages that answer out of the program alone: also while the database is away, to whoever asks. */
export const WITHOUT_DATABASE: ReadonlySet<string> = new Set(['/rivets', '/help/glossary']);

/** A door whose right is told by what goes through it. */
const BY_STREAM = 'by-stream';

/** Every route by its id and method, and what it asks: a route that does not stand here lets nobody in. */
export const ACCESS_POLICY: Readonly<
  Record<string, Partial<Record<Method, Asks | typeof BY_STREAM>>>
> = {
  '/who': { GET: 'anyone', POST: 'anyone' },
  '/who/code': { GET: 'anyone', POST: 'anyone' },
  '/who/out': { GET: 'anyone', POST: 'anyone' },
  '/waiting': { GET: 'signed-in' },
  '/account': { GET: 'signed-in', POST: 'signed-in' },
  '/people': { GET: 'people', POST: 'people' },
  '/rivets': { GET: 'anyone' },
  '/help/glossary': { GET: 'anyone' },
  '/api/calc/[op]': { POST: 'anyone' },
  '/health': { GET: 'anyone' },
  '/ready': { GET: 'anyone' },
  '/metrics': { GET: 'anyone' },
  '/bare': { GET: 'anyone' },
  '/bare/insert': { POST: 'anyone' },

  '/': { GET: 'look', POST: 'plan' },
  '/gauge': { GET: 'look' },
  '/jobs/[job=id]': { GET: 'look', POST: 'plan' },
  '/joints/[joint=id]': { GET: 'look' },
  '/joints/[joint=id]/[station=station]': { GET: 'look' },
  '/rules': { GET: 'look' },
  '/setups': { GET: 'look' },
  '/stock': { GET: 'look' },
  '/records': { GET: 'look' },
  '/records/releases': { GET: 'look' },
  '/records/trend': { GET: 'look' },
  '/records/grading': { GET: 'look' },
  '/records/grading/[coupon=id]': { GET: 'look' },
  '/records/[release=id]/[hole]': { GET: 'look' },
  '/setups/driving': { GET: 'look' },
  '/setups/driving/[setting=id]': { GET: 'look' },
  '/setups/tools': { GET: 'look' },
  '/setups/[cage=id]': { GET: 'look' },
  '/setups/[cage=id]/[setting=id]': { GET: 'look' },

  '/api/cages': { POST: 'prepare' },
  '/api/cages/[cage=id]/settings': { POST: 'prepare' },
  '/api/cages/[cage=id]/settings/[setting=id]/label.pdf': { GET: 'look' },
  '/api/cold': { GET: 'look', POST: 'prepare' },
  '/api/devices/caliper/[release=id]': { GET: 'look', POST: 'plan' },
  '/api/devices/camera/[release=id]': { POST: 'plan' },
  '/api/devices/depth-gauge/[cage=id]': { GET: 'look', POST: 'plan' },
  '/api/events/[stream]/[[subject=id]]': { GET: 'look', POST: BY_STREAM },
  '/api/gauge/[file=gaugefile]': { GET: 'look' },
  '/api/grading/[coupon=id]': { PUT: 'grade' },
  '/api/grading/[coupon=id]/sheet.pdf': { GET: 'look' },
  '/api/jobs/[job=id]/bill.csv': { GET: 'look' },
  '/api/joints/[joint=id]': { PUT: 'plan' },
  '/api/joints/[joint=id]/files/[file=jointfile]': { GET: 'look' },
  '/api/joints/[joint=id]/issues': { POST: 'release' },
  '/api/joints/[joint=id]/record': { GET: 'look' },
  '/api/joints/[joint=id]/rules': { PUT: 'plan' },
  '/api/live/[release=id]': { GET: 'look', POST: 'drive' },
  '/api/profiles': { GET: 'look', POST: 'rules' },
  '/api/records.csv': { GET: 'look' },
  '/api/shop': { PUT: 'measure' },
  '/api/shop/plates': { PUT: 'measure' },
  '/api/shop/tools': { PUT: 'measure' },
  '/api/stock/bins.csv': { GET: 'look' },
  '/api/tool-settings': { POST: 'prepare' }
};

/** What a door asks of whoever comes; null: nobody goes through. */
export function asks(
  route: string | null,
  method: string,
  params: Readonly<Record<string, string | undefined>>
): Asks | null {
  if (route === null) return null;
  const reading = method === 'HEAD' || method === 'OPTIONS' ? 'GET' : method;
  const asked = ACCESS_POLICY[route]?.[reading as Method];
  if (asked !== BY_STREAM) return asked ?? null;
  const stream = params['stream'] ?? '';
  // no stream is called as what every object has
  return Object.hasOwn(STREAM_ASKS, stream) ? (STREAM_ASKS[stream] ?? null) : null;
}
