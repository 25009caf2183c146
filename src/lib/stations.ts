/** The stations of a joint in the order of the work; those not built yet say what they will do. */
export const STATIONS = [
  { key: 'carry', number: 1, name: 'Carry', asks: 'Which rivet, and how many?', ready: true },
  { key: 'lay-out', number: 2, name: 'Lay out', asks: 'Where does each hole go?', ready: true },
  { key: 'stack', number: 3, name: 'Stack', asks: 'How thick, how long, how flush?', ready: true },
  {
    key: 'make-ready',
    number: 4,
    name: 'Make ready',
    asks: 'What must be done before the first rivet?',
    ready: true
  },
  {
    key: 'drive',
    number: 5,
    name: 'Drive',
    asks: 'With what, in what order, before when?',
    ready: false
  },
  {
    key: 'check',
    number: 6,
    name: 'Check',
    asks: 'Is this head good, and if not, why?',
    ready: true
  },
  {
    key: 'sign',
    number: 7,
    name: 'Sign',
    asks: 'What was done, by whom, to which data?',
    ready: false
  }
] as const;

export type StationKey = (typeof STATIONS)[number]['key'];
