import type { Role } from '../../src/core/people/rights.ts';

/** Somebody who comes to a door: a role of the shop, or nobody who has signed in. */
export type Comer = Role | 'nobody';

/** One kind of work, who may do it and why: written by hand from the work, not read off the program. */
export interface Work {
  may: readonly Comer[];
  why: string;
  /** the doors it goes through: method and route; of events, the stream after a colon */
  through: readonly string[];
}

const SHOP = ['lead', 'mechanic', 'inspector', 'trainee', 'instructor'] as const;
const ANYBODY = [...SHOP, 'nobody'] as const;
/** Those who answer for what they put into an aircraft. */
const ANSWERABLE = ['lead', 'mechanic', 'inspector'] as const;
/** Those whose hands are at the metal: a trainee works under somebody’s eyes, an instructor’s students do. */
const AT_THE_METAL = [...ANSWERABLE, 'trainee'] as const;

const EVENTS = '/api/events/[stream]/[[subject=id]]';

export const WHO_MAY: Readonly<Record<string, Work>> = {
  'come in, and go': {
    may: ANYBODY,
    why: 'nobody is anybody before they have come in; out one may always',
    through: [
      'GET /who',
      'POST /who',
      'GET /who/code',
      'POST /who/code',
      'GET /who/out',
      'POST /who/out'
    ]
  },
  'look up public tables, calculate': {
    may: ANYBODY,
    why: 'public arithmetic, nothing of the shop in it: a program on this machine asks without a name',
    through: ['GET /rivets', 'GET /help/glossary', 'POST /api/calc/[op]']
  },
  'see whether the program runs': {
    may: ANYBODY,
    why: 'what watches the machine has no name, and hears nothing of the work',
    through: ['GET /health', 'GET /ready', 'GET /metrics', 'GET /bare', 'POST /bare/insert']
  },
  'see to one’s own account and unsent entries': {
    may: SHOP,
    why: 'one’s own password, PIN and what waits in one’s own browser',
    through: ['GET /account', 'POST /account', 'GET /waiting']
  },
  'let others in': {
    may: ['lead'],
    why: 'who gives names and roles answers for every signature made under them',
    through: ['GET /people', 'POST /people']
  },
  'read the work': {
    may: SHOP,
    why: 'whoever works here learns from what was done, and nobody drives from memory',
    through: [
      'GET /',
      'GET /gauge',
      'GET /jobs/[job=id]',
      'GET /joints/[joint=id]',
      'GET /joints/[joint=id]/[station=station]',
      'GET /rules',
      'GET /setups',
      'GET /stock',
      'GET /records',
      'GET /records/releases',
      'GET /records/trend',
      'GET /records/grading',
      'GET /records/grading/[coupon=id]',
      'GET /records/[release=id]/[hole]',
      'GET /setups/driving',
      'GET /setups/driving/[setting=id]',
      'GET /setups/tools',
      'GET /setups/[cage=id]',
      'GET /setups/[cage=id]/[setting=id]',
      'GET /api/cages/[cage=id]/settings/[setting=id]/label.pdf',
      'GET /api/cold',
      'GET /api/devices/caliper/[release=id]',
      'GET /api/devices/depth-gauge/[cage=id]',
      `GET ${EVENTS}`,
      'GET /api/gauge/[file=gaugefile]',
      'GET /api/grading/[coupon=id]/sheet.pdf',
      'GET /api/jobs/[job=id]/bill.csv',
      'GET /api/joints/[joint=id]/files/[file=jointfile]',
      'GET /api/joints/[joint=id]/record',
      'GET /api/live/[release=id]',
      'GET /api/profiles',
      'GET /api/records.csv',
      'GET /api/stock/bins.csv'
    ]
  },
  'plan on paper, practice, try a device': {
    may: SHOP,
    why: 'a plan is metal only once it is released: students plan too, and press the button of a simulated tool',
    through: [
      'POST /',
      'POST /jobs/[job=id]',
      'PUT /api/joints/[joint=id]',
      'PUT /api/joints/[joint=id]/rules',
      'POST /api/devices/caliper/[release=id]',
      'POST /api/devices/camera/[release=id]',
      'POST /api/devices/depth-gauge/[cage=id]'
    ]
  },
  'release a plan for metal': {
    may: ANSWERABLE,
    why: 'from here on holes are drilled: somebody answers for the layout',
    through: ['POST /api/joints/[joint=id]/issues']
  },
  'make ready': {
    may: AT_THE_METAL,
    why: 'steps ticked, tools set on scrap, rivets fetched and taken out of the cold: what a trainee does all day',
    through: [
      'POST /api/cages',
      'POST /api/cages/[cage=id]/settings',
      'POST /api/cold',
      'POST /api/tool-settings',
      ...['step', 'stock', 'cold', 'cage', 'tool'].map((stream) => `POST ${EVENTS}:${stream}`)
    ]
  },
  drive: {
    may: AT_THE_METAL,
    why: 'a trainee drives; what they drove another looks at',
    through: [`POST ${EVENTS}:drive`, 'POST /api/live/[release=id]']
  },
  'say what a head is': {
    may: ANSWERABLE,
    why: 'a head that is called good flies: who is still learning to see does not say so',
    through: [`POST ${EVENTS}:hole`]
  },
  'take a rivet out and decide on its hole': {
    may: ANSWERABLE,
    why: 'a hole widened by the drill cannot be made smaller again',
    through: [`POST ${EVENTS}:rework`]
  },
  sign: {
    may: ANSWERABLE,
    why: 'entitled people sign; which of them under the shop’s rule, the stream asks besides',
    through: [`POST ${EVENTS}:sign`]
  },
  'edit shop times, tools and gauge plates': {
    may: ANSWERABLE,
    why: 'every later plan and look rests on them',
    through: ['PUT /api/shop', 'PUT /api/shop/plates', 'PUT /api/shop/tools']
  },
  'change the shop’s rules': {
    may: ['lead'],
    why: 'which school holds is decided once, for everyone',
    through: ['POST /api/profiles']
  },
  'mark coupons': {
    may: ['lead', 'instructor'],
    why: 'marks are given by those who teach',
    through: ['PUT /api/grading/[coupon=id]']
  }
};
