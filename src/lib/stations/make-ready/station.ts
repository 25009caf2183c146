import { defineStation, done, open } from '../station';

export const makeReady = defineStation({
  key: 'make-ready',
  name: 'Prepare',
  asks: 'What must be done before the first rivet?',
  logs: 'prepare',
  page: () => import('./MakeReadyStation.svelte'),
  outboxes: ({ ready }) => [ready.outbox],
  status: ({ ready: { told } }) => {
    if (!told || told.steps === 0) return open('—');
    return told.done === told.steps
      ? done('all steps done')
      : open(`${told.done} of ${told.steps} steps`);
  }
});
